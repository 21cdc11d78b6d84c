package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.StrengthFact;
import tinperch.fact.StrengthFact.Borne;
import tinperch.material.Material;
import tinperch.part.form.Lie;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.strength.SectionWalk;
import tinperch.strength.SectionWalk.Station;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/** Does the part bear what is put on it? The weakest section between the load and where it lies on the machine, across layers where the section lies in them. */
public final class StrengthCheck implements Check {
    /** The id of what is found of a load. */
    public static String idOf(Load l) {
        return "strength." + l.id();
    }

    @Override
    public String about() {
        return "strength";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Optional<Material> m = Material.find(c.part().material());
        if (m.isEmpty() || facts.get(FormFact.FORM).form().map(f -> f.mount().isEmpty()).orElse(true)) {
            return List.of();
        }
        if (c.part().loads().isEmpty()) {
            return List.of(Finding.of("strength", Severity.CANT_TELL, "Whether it bears its load cannot be told", "Nothing is said of what pulls or pushes on it: a weight, a hand, a belt.").settledBy(Settle.By.LOAD, "", "say what it bears"));
        }
        List<Finding> all = new ArrayList<>();
        List<Borne> borne = facts.get(StrengthFact.STRENGTH);
        borne.forEach(b -> all.add(finding(b, c, facts, m.get())));
        c.part().loads().stream().filter(l -> borne.stream().noneMatch(b -> b.load().id().equals(l.id()))).forEach(l -> all.add(Finding.of(idOf(l), Severity.CANT_TELL, "The piece that bore " + (l.name().isBlank() ? "a load" : "“" + l.name() + "”")
                + " is gone", "The part has no such piece any more, or could not be made. Put the load where it acts now, or take it away.").settledBy(Settle.By.LOAD, "", "put it elsewhere")));
        return all;
    }

    private static Finding finding(Borne b, Case c, Facts facts, Material m) {
        Load l = b.load();
        String id = idOf(l) + b.handedBy().map(p -> "." + b.piece().id()).orElse("");
        String name = (l.name().isBlank() ? "the load" : "“" + l.name() + "”") + b.handedBy().map(p -> ", handed on by the " + p.name()).orElse("");
        String force = Quantity.show(Math.round(l.forceN().length() * 10) / 10.0, Unit.NEWTON) + " " + l.lasting().label();
        if (b.how() == StrengthFact.How.HELD_BY_ANOTHER) {
            return Finding.of(id, Severity.CANT_TELL, "What " + name + " does to the " + b.piece().name() + " cannot be told", "This piece lies on the machine nowhere and touches no other that does. Put the load on the piece that is screwed on.")
                    .settledBy(Settle.By.LOAD, "", "put it elsewhere").at(b.piece().id(), "");
        }
        if (b.how() == StrengthFact.How.OVER_ITS_FIXING) {
            return Finding.of(id, Severity.FINE, "The " + b.piece().name() + " bears " + name + " right over its fixing", force + " acts where it lies on the machine.").at(b.piece().id(), "");
        }
        SectionWalk walk = b.walk().orElseThrow();
        double share = StrengthFact.share(l.lasting(), m);
        Lie lie = c.lie(b.piece().id());
        Station s = walk.weakest(x -> StrengthFact.allowedMPa(l, x, lie, m)).orElseThrow();
        boolean betweenLayers = StrengthFact.isBetweenLayers(s, lie);
        double strength = StrengthFact.strengthMPa(s, lie, m);
        double allowed = share * strength;
        Severity severity = s.stressMPa() > strength ? Severity.STOP : s.stressMPa() > allowed ? Severity.LOOK : Severity.FINE;
        double gives = Math.abs(walk.deflectionMm());
        String what = switch (severity) {
            case STOP -> "The " + b.piece().name() + " breaks under " + name;
            case LOOK -> "The " + b.piece().name() + " does not bear " + name + " for long";
            default -> "The " + b.piece().name() + " bears " + name;
        };
        String why = force + " " + Quantity.fixed(s.alongMm(), 0) + " mm from its weakest section (" + Quantity.fixed(s.areaMm2(), 0) + " mm²" + (betweenLayers ? ", between layers" : "") + "): " + Quantity.fixed(s.stressMPa(), 1)
                + " MPa; " + m.name() + " bears " + Quantity.fixed(strength, 0) + (betweenLayers ? " across layers" : "") + ", of that " + Math.round(100 * share) + " % " + l.lasting().label() + " (common practice). It gives by "
                + Quantity.mm(Math.round(gives * 100) / 100.0) + " there. Estimate: printed solid, held where it lies on the machine nearest to the load.";
        Finding f = Finding.of(id, severity, what, why).measured(new Margin(s.stressMPa(), allowed, Unit.MPA, false)).at(b.piece().id(), "");
        return severity == Severity.FINE ? f : f.with(remedies(b, walk, s, c, facts, m, s.stressMPa() / allowed));
    }

    /** What makes the section thicker, sides to lie on whose layers bear it, and materials that do. */
    private static List<Remedy> remedies(Borne b, SectionWalk walk, Station s, Case c, Facts facts, Material m, double over) {
        Lie now = c.lie(b.piece().id());
        List<Remedy> all = new ArrayList<>(Thicker.of(b.piece(), s, Math.sqrt(s.areaMm2()) * (Math.sqrt(over) - 1) + 0.5, c));
        all.addAll(OtherLies.of(c, facts, b.piece(), o -> walk.stations().stream().allMatch(x -> x.stressMPa() <= StrengthFact.allowedMPa(b.load(), x, o, m)), 1));
        all.addAll(OtherMaterials.of(c, o -> StrengthFact.allowedMPa(b.load(), s, now, o) >= s.stressMPa(), Comparator.comparingDouble(Material::strengthMPa), 1));
        return all;
    }
}
