package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.fact.RestFact;
import tinperch.machine.space.Run;
import tinperch.machine.space.RunFit;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Can the drive pull the filament round all the guides it is led by? Each turn makes the pull larger: T = T₀·e^(μ·θ) (rope on a post, Euler and Eytelwein), with the turns of all guides added and the axes where
 * they are most. Asked of parts the filament is led by.
 */
public final class PullCheck implements Check {
    /** Filament on a plain guide (common practice). */
    private static final double FRICTION = 0.25;
    /** What a full spool on a plain holder holds back with, N (value from memory). */
    private static final double SPOOL_N = 2;
    /** A drive that gives nearly all it can slips now and then (common practice). */
    private static final double SHARE = 0.7;
    /** A part leads filament by a point this near to it, mm. */
    private static final double NEAR_MM = 15;
    private static final int MOST_REMEDIES = 2;
    private static final String SPOOL = "pull.spool";
    private static final String DRIVE = "pull.drive";

    @Override
    public String about() {
        return "pull";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        Surroundings space = c.machine().surroundings();
        Optional<Placement> place = RestFact.inMachine(c, facts).map(p -> p.moved(space.shift(c.site().orElseThrow().group(), space.home())));
        for (Run r : place.isEmpty() ? List.<Run>of() : space.runs()) {
            if (r.kind() == Run.Kind.FILAMENT && facts.get(MeshesFact.BARE).pieces().stream().anyMatch(m -> leads(m.mesh().bounds().placed(place.get().times(m.piece().place())), r.points(space, space.home())))) {
                all.add(of(r, space, c));
            }
        }
        return all;
    }

    private static boolean leads(Bounds part, List<Vec3> points) {
        return points.stream().anyMatch(p -> part.overlaps(new Bounds(p, p), NEAR_MM));
    }

    /** The most it is turned wherever the axes stand, rad; at one of their ends or at home. */
    static double turnedRad(Run r, Surroundings space) {
        List<Map<String, Double>> poses = new ArrayList<>(RunFit.ends(r, space));
        poses.add(new HashMap<>(space.home()));
        return poses.stream().mapToDouble(p -> r.turnedRad(space, p)).max().orElse(0);
    }

    /** What it is pulled with behind the guides, N. */
    static double pullN(double spoolN, double turnedRad) {
        return spoolN * Math.exp(FRICTION * turnedRad);
    }

    private static Finding of(Run r, Surroundings space, Case c) {
        String id = "pull." + r.id();
        Optional<Double> said = c.machine().book().newest(SPOOL).filter(v -> v > 0);
        double spool = said.orElse(SPOOL_N);
        double turned = turnedRad(r, space);
        double needs = pullN(spool, turned);
        String why = "Its guides turn it by " + Math.round(Math.toDegrees(turned)) + "° together: " + Quantity.fixed(needs / spool, 2) + " times the " + Quantity.show(spool, Unit.NEWTON) + " the spool holds back with"
                + (said.isPresent() ? "" : " (value from memory)") + ", friction " + FRICTION + " (common practice). ";
        Optional<Double> gives = c.machine().book().newest(DRIVE).filter(v -> v > 0);
        if (gives.isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "Whether the drive pulls " + r.name() + " round its guides cannot be told", why + "It must pull " + Quantity.fixed(needs, 1) + " N; what it can is not in the book: hang weights on the filament until it slips.")
                    .settledBy(Settle.By.BOOK, "", "say what the drive pulls");
        }
        Margin m = new Margin(needs, SHARE * gives.get(), Unit.NEWTON, false);
        String slips = "The drive pulls " + Quantity.show(gives.get(), Unit.NEWTON) + " before it slips; 70 % of that are for good (common practice).";
        if (m.spare() >= 0) {
            return Finding.of(id, Severity.FINE, "The drive pulls " + r.name() + " round its guides", why + slips).measured(m);
        }
        List<Remedy> fewer = IntStream.range(1, r.holds().size() - 1).boxed().sorted(Comparator.comparingDouble(i -> turnedRad(r.without(i), space))).limit(MOST_REMEDIES)
                .map(i -> Remedy.of("leave out guide " + i + " of " + r.name(), new Change.PutRun(r.without(i)))).toList();
        return Finding.of(id, needs > gives.get() ? Severity.STOP : Severity.LOOK, needs > gives.get() ? "The drive slips: " + r.name() + " wants " + Quantity.fixed(needs, 1) + " N behind its guides"
                : "The drive pulls " + r.name() + " round its guides, but hardly", why + slips).measured(m).with(fewer);
    }
}
