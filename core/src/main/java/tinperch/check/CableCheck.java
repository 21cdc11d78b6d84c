package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import tinperch.fact.CableWayFact;
import tinperch.fact.Facts;
import tinperch.machine.space.Run;
import tinperch.machine.space.RunFit;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Do the cables and hoses that ride with the part reach wherever its axes go, without a kink and without rubbing on anything? They hang on it or pull at it. */
public final class CableCheck implements Check {
    /** A cable that moves is never pulled tight: this much of its way is left over (common practice: 2 %). */
    private static final double LEFT_OVER = 0.02;
    private static final double TOUCHES_MM = 0.05;
    private static final double STEP_MM = 10;

    @Override
    public String about() {
        return "cables";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        Surroundings space = c.machine().surroundings();
        CableWayFact.riding(c).forEach(r -> {
            RunFit fit = RunFit.of(r, space);
            all.add(reaches(r, fit));
            if (fit.isSharp(r)) {
                all.add(Finding.of("cable." + r.id() + ".bend", Severity.LOOK, r.name() + " is bent to a radius of " + Quantity.mm(Math.round(fit.bendMm())) + " at its point " + fit.bendPoint(),
                        "One that moves wants " + Quantity.mm(Math.round(r.wantedBendMm())) + (r.bendMm() > 0 ? " as is said of it" : " (ten times its diameter, common practice)") + ", or its strands break. Lead it in a wider arc, or hold it elsewhere.")
                        .measured(new Margin(fit.bendMm(), r.wantedBendMm(), Unit.MM, true))
                        .with(List.of(Remedy.of("no hold at its point " + fit.bendPoint(), new Change.PutRun(r.without(fit.bendPoint() - 1))))));
            }
        });
        // Asked only where there is one: what was judged before stays remembered.
        if (!CableWayFact.riding(c).isEmpty()) {
            facts.get(CableWayFact.OWN).forEach(n -> all.add(rubs(n)));
            facts.get(CableWayFact.AROUND).forEach(n -> all.add(rubs(n)));
        }
        return all;
    }

    private static Finding rubs(CableWayFact.Near n) {
        if (Double.isInfinite(n.gapMm())) {
            return Finding.of("cable." + n.run().id() + ".near." + n.to(), Severity.CANT_TELL, "How near " + n.run().name() + " passes " + n.to() + " could not be looked through", "Its ways along it are too many. Lead it by a point or two more where it passes.")
                    .settledBy(Settle.By.NEIGHBOURS, "", "lead it by more points");
        }
        boolean touches = n.gapMm() < TOUCHES_MM;
        String at = pose(n.pose());
        return Finding.of("cable." + n.run().id() + ".near." + n.to(), Severity.LOOK, touches ? n.run().name() + " rubs on " + n.to() + " where " + at : n.run().name() + " passes " + n.to() + " at " + Quantity.mm(Math.round(n.gapMm() * 10) / 10.0) + " where " + at,
                "Drawn straight from point to point it comes so near on its way; " + Quantity.mm(CableWayFact.NEED_MM) + " are to be free (common practice), and what hangs through hangs nearer. A cable that rubs wears through: lead it round, or hold it elsewhere.")
                .measured(new Margin(n.gapMm(), CableWayFact.NEED_MM, Unit.MM, true)).posed(n.pose()).with(LedRound.of(n));
    }

    private static Finding reaches(Run r, RunFit fit) {
        String id = "cable." + r.id();
        String where = pose(fit.at());
        if (fit.slackMm().isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "Whether " + r.name() + " is long enough cannot be told", "Its way is " + Quantity.mm(Math.round(fit.longestMm())) + " at the longest (" + where + "); nobody has said how long it is.")
                    .settledBy(Settle.By.NEIGHBOURS, "", "say how long it is");
        }
        double wanted = LEFT_OVER * fit.longestMm();
        double slack = fit.slackMm().get();
        Margin m = new Margin(slack, wanted, Unit.MM, true);
        String why = "Its way is longest, " + Quantity.mm(Math.round(fit.longestMm())) + ", where " + where + "; " + Quantity.mm(Math.round(wanted)) + " are to be left over (2 %, common practice). ";
        return slack >= wanted ? Finding.of(id, Severity.FINE, r.name() + " reaches wherever the axes go", why).measured(m)
                : Finding.of(id, slack < 0 ? Severity.STOP : Severity.LOOK, slack < 0 ? r.name() + " is " + Quantity.mm(Math.round(-slack)) + " too short where " + where : r.name() + " is pulled tight where " + where,
                        why + "It pulls at the part and at its own plug: a longer one, another way, or a hold that is nearer. Unplug the machine before anything is spliced.").measured(m).with(List.of(longer(r, fit.longestMm() + wanted)));
    }

    /** One as long as it has to be, in whole centimetres. */
    private static Remedy longer(Run r, double leastMm) {
        double mm = Math.ceil(leastMm / STEP_MM) * STEP_MM;
        return Remedy.of("one of " + Quantity.mm(mm), new Change.PutRun(r.withLength(mm)));
    }

    private static String pose(Map<String, Double> at) {
        return new TreeMap<>(at).entrySet().stream().map(e -> e.getKey() + " stands at " + Quantity.mm(Math.round(e.getValue()))).collect(Collectors.joining(", "));
    }
}
