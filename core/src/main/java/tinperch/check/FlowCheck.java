package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.air.Duty;
import tinperch.air.FilterMedium;
import tinperch.air.UsualFan;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.machine.Machine;
import tinperch.part.form.AirPath;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/**
 * What a fan still moves through what is built round it: where its curve meets the losses of outlet and filter. An axial fan held below a third of its free flow stalls: it roars and hardly moves air
 * (common practice); a radial one stands pressure.
 */
public final class FlowCheck implements Check {
    private static final double LEAST_PERCENT = 33;
    /** Of an outlet after a bend: what leaves is lost, and half of it once more in entering and turning (handbook values: 1 and about 0.5). */
    private static final double OUTLET_K = 1.5;
    private static final double MM3_PER_M3 = 1e9;

    @Override
    public String about() {
        return "flow";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(f -> f.air().forEach(a -> {
            String id = "flow." + all.size();
            if (a.fan().isPresent()) {
                all.add(finding(a, a.fan().get(), id, c));
            } else if (a.filterMm2() > 0) {
                all.add(Finding.of(id, Severity.CANT_TELL, "What goes through the cartridge cannot be told", "No fan behind it is known: say round which fan's holes it goes.").settledBy(Settle.By.MEASURE, "", "say which fan"));
            }
        }));
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    private static Finding finding(AirPath a, UsualFan fan, String id, Case c) {
        double opening = Math.min(a.inletMm2(), a.outletMm2());
        // Where nobody says what kind of cartridge it is, judged is the one that lets more through.
        Duty d = Duty.through(fan, opening, OUTLET_K, a.filterMm2(), a.medium().map(FilterMedium::lossPa).orElse(Duty.LOOSE_PA));
        Duty least = Duty.through(fan, opening, OUTLET_K, a.filterMm2(), a.medium().map(FilterMedium::lossPa).orElse(Duty.FINE_PA));
        double percent = 100 * d.flowM3h() / fan.freeM3h();
        boolean good = fan.radial() || percent >= LEAST_PERCENT;
        String moves = (isBand(a) ? Quantity.fixed(least.flowM3h(), 1) + " to " : "") + Quantity.fixed(d.flowM3h(), 1) + " of " + Quantity.fixed(fan.freeM3h(), 0) + " m³/h";
        String why = "A usual " + fan.name() + " against " + Quantity.fixed(d.pressurePa(), 0) + " Pa; the air leaves at " + Quantity.fixed(Duty.speedMs(d.flowM3h(), a.outletMm2()), 1) + " m/s." + filter(a, least, d, c)
                + (good ? "" : " Below a third of its free flow an axial fan stalls (common practice): " + (a.filterMm2() > 0 ? "take a radial fan or a larger cartridge." : "make the outlet wider.")) + " Curve from memory.";
        Finding f = Finding.of(id, good ? Severity.FINE : Severity.LOOK, good ? "The " + a.label() + " flows: about " + moves : "The " + a.label() + " stalls its fan: about " + moves, why).measured(new Margin(percent, fan.radial() ? 0 : LEAST_PERCENT, Unit.PERCENT, true));
        return good ? f : f.with(a.wider().stream().map(l -> Remedy.pull(l, c.recipe().values(), opening * (LEAST_PERCENT / percent - 1))).toList());
    }

    /** Whether the flow is told as a band: nobody has said what the cartridge is filled with. */
    private static boolean isBand(AirPath a) {
        return a.filterMm2() > 0 && a.medium().isEmpty();
    }

    private static String filter(AirPath a, Duty least, Duty d, Case c) {
        if (a.filterMm2() <= 0) {
            return "";
        }
        Machine.Space s = c.machine().usableMm();
        double m3 = s.x() * s.y() * s.z() / MM3_PER_M3;
        return (isBand(a) ? " The lower number is with a cartridge for fine particles, the higher with a loose one (250 and 60 Pa at 0.45 m/s, from memory): say what it is filled with."
                : " Through " + a.medium().orElseThrow().name() + ", " + Math.round(a.medium().orElseThrow().lossPa()) + " Pa at 0.45 m/s (from memory), it goes at " + Quantity.fixed(Duty.speedMs(d.flowM3h(), a.filterMm2()), 2) + " m/s.")
                + (c.machine().enclosed() && m3 > 0 ? " The room above the bed is turned over " + (isBand(a) ? Math.round(least.flowM3h() / m3) + " to " : "") + Math.round(d.flowM3h() / m3) + " times an hour." : "");
    }
}
