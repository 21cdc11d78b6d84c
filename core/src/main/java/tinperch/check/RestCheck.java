package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact.Gap;
import tinperch.fact.RestFact;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Is the part, at rest on its site with the axes at home, clear of every neighbour? A neighbour says itself how much it wants free; where
 * it says nothing, hot ones want 3 mm and others 1 mm (common practice). What it stands on may touch it.
 */
public final class RestCheck implements Check {
    private static final double HOT_MM = 3;
    private static final double USUAL_MM = 1;
    private static final double PRESSED_MM = 0.1;

    @Override
    public String about() {
        return "neighbours";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        if (facts.get(FormFact.FORM).form().map(f -> f.mount().isEmpty()).orElse(true)) {
            return List.of();
        }
        List<Site> sites = c.machine().surroundings().sites();
        if (c.site().isEmpty()) {
            String why = c.part().siteId().isEmpty() ? "It has no site on " + c.machine().name() + ", so nothing around it was looked at."
                    : "The site it mounted on is gone from " + c.machine().name() + ".";
            return List.of(Finding.of("rest", Severity.CANT_TELL, "Whether it is in anything's way cannot be told", why + (sites.isEmpty()
                    ? " Add a site on the machine's sheet, under Surroundings." : " Say where it mounts.")).with(sites.stream().limit(2)
                            .map(s -> Remedy.of("it mounts on " + s.name(), new Change.AtSite(s.id()))).toList()).settledBy(Settle.By.SITE, "", "add a site"));
        }
        Optional<List<Gap>> gaps = facts.get(RestFact.REST);
        if (gaps.isEmpty()) {
            return List.of();
        }
        List<Finding> all = new ArrayList<>();
        gaps.get().stream().filter(g -> spare(g) < -1e-6).sorted(Comparator.comparingDouble(RestCheck::spare)).forEach(g -> all.add(tight(g, c)));
        if (all.isEmpty()) {
            all.add(c.machine().surroundings().neighbours().isEmpty()
                    ? Finding.of("rest", Severity.CANT_TELL, "No neighbour is drawn on " + c.machine().name(),
                            "Whether it is in anything's way cannot be told; draw what is near on the machine's sheet.").settledBy(Settle.By.NEIGHBOURS, "", "draw what is near")
                    : gaps.get().stream().filter(g -> !g.stands() && wantedMm(g) > 0).min(Comparator.comparingDouble(RestCheck::spare)).map(RestCheck::clear)
                            .orElseGet(() -> Finding.of("rest", Severity.FINE, "Nothing within 40 mm of it", "At rest, axes at home.")));
        }
        return all;
    }

    private static Finding clear(Gap g) {
        return Finding.of("rest", Severity.FINE, Quantity.mm(g.gapMm()) + " between " + g.feature() + " and " + g.neighbour().name(),
                "The tightest place at rest, axes at home; " + Quantity.mm(wantedMm(g)) + " is wanted.").measured(margin(g)).at(g.piece().id(), g.feature());
    }

    private static double wantedMm(Gap g) {
        if (g.stands()) {
            return 0;
        }
        // What access says is how far before it must be free; that is part of its shape.
        double said = g.neighbour().kind() == Neighbour.Kind.ACCESS && !g.neighbour().way().isEmpty() ? 0 : g.neighbour().clearanceMm();
        return said > 0 ? said : switch (g.neighbour().kind()) {
            case HOT -> HOT_MM;
            case SOLID, CABLE -> USUAL_MM;
            case ACCESS, LIGHT -> 0;
        };
    }

    private static double valueMm(Gap g) {
        return g.depthMm() > 0 ? -g.depthMm() : g.gapMm();
    }

    private static double spare(Gap g) {
        return valueMm(g) - wantedMm(g) + (g.stands() || wantedMm(g) == 0 ? PRESSED_MM : 0);
    }

    private static Margin margin(Gap g) {
        return new Margin(valueMm(g), wantedMm(g), Unit.MM, true);
    }

    private static Finding tight(Gap g, Case c) {
        Neighbour n = g.neighbour();
        String id = "rest." + n.id() + "." + g.piece().id();
        boolean in = g.depthMm() > 0;
        boolean zone = n.kind() == Neighbour.Kind.ACCESS || n.kind() == Neighbour.Kind.LIGHT;
        String what = in ? zone ? "It takes " + Quantity.mm(g.depthMm()) + " of “" + n.name() + "”, which must stay free"
                : "The " + g.feature() + " goes " + Quantity.mm(g.depthMm()) + " into " + n.name()
                : Quantity.mm(g.gapMm()) + " between " + g.feature() + " and " + n.name() + ", " + Quantity.mm(wantedMm(g)) + " wanted";
        String why = switch (n.kind()) {
            case HOT -> n.name() + " is hot: plastic this near softens. At rest, axes at home.";
            case ACCESS -> "A hand or a tool must get there" + n.towards().map(w -> " " + side(w)).orElse("") + ". At rest, axes at home.";
            case CABLE -> "A cable that rubs wears through. At rest, axes at home.";
            case LIGHT -> "Light or air must pass there. At rest, axes at home.";
            case SOLID -> "Measured between the two shapes, at rest, axes at home.";
        };
        List<Remedy> remedies = new ArrayList<>(Clearing.of(g.piece(), g.feature(), g.outward(), wantedMm(g) - valueMm(g), c));
        if (c.machine().surroundings().neighbour(n.id()).isPresent()) {
            AroundNeighbour.of(n, g.piece(), c.part(), (k, before) -> k.leaving(before, wantedMm(g)), "cut around " + n.name() + ", " + Quantity.mm(wantedMm(g)) + " free").ifPresent(remedies::add);
        }
        return Finding.of(id, in || n.kind() == Neighbour.Kind.HOT ? Severity.STOP : Severity.LOOK, what, why).measured(margin(g)).at(g.piece().id(), g.feature())
                .with(remedies).about(Subject.LAYOUT);
    }

    private static String side(Vec3 way) {
        return Math.abs(way.z()) > 0.5 ? way.z() > 0 ? "from above" : "from below" : Math.abs(way.x()) > 0.5 ? way.x() > 0 ? "from the right" : "from the left"
                : way.y() > 0 ? "from behind" : "from the front";
    }
}
