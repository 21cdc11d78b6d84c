package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.part.form.AirPath;
import tinperch.part.form.PartForm;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** How far it is free before each fan's intake, at rest: along lines from its opening to the part itself and to the machine's neighbours. */
public final class IntakeFact implements Fact<List<IntakeFact.Free>> {
    public static final IntakeFact INTAKES = new IntakeFact();
    private static final double[] RADII = {0, 0.4, 0.85};
    private static final int ROUND = 8;
    /** A neighbour that reaches so far into the fan is the fan, as it is drawn in the surroundings. */
    private static final double INSIDE_MM = 2;

    private IntakeFact() {}

    /**
     * Before an intake.
     *
     * @param mm to the nearest thing straight before it; infinite where there is none
     * @param of what that is; empty for nothing
     * @param seen whether the machine around it was looked at
     */
    public record Free(AirPath air, AirPath.Intake intake, double mm, String of, boolean seen) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(RestFact.REST.inputs(c, facts), air(facts));
    }

    private static List<AirPath> air(Facts facts) {
        return facts.get(FormFact.FORM).form().map(PartForm::air).orElse(List.of()).stream().filter(a -> a.intake().isPresent()).toList();
    }

    @Override
    public List<Free> compute(Case c, Facts facts) {
        List<Free> all = new ArrayList<>();
        for (AirPath a : air(facts)) {
            AirPath.Intake intake = a.intake().orElseThrow();
            Nearest near = new Nearest(intake);
            List<MeshesFact.Made> pieces = facts.get(MeshesFact.BARE).pieces();
            for (int i = 0; i < pieces.size(); i++) {
                near.look(facts.get(TreesFact.TREES).get(i), pieces.get(i).piece().place().inverse(), "the " + pieces.get(i).piece().name() + " itself");
            }
            Optional<Placement> place = RestFact.inMachine(c, facts);
            place.ifPresent(p -> neighbours(c, facts, p, near));
            all.add(new Free(a, intake, near.mm, near.of, place.isPresent()));
        }
        return all;
    }

    private static void neighbours(Case c, Facts facts, Placement place, Nearest near) {
        Surroundings space = c.machine().surroundings();
        Vec3 shift = space.shift(c.site().orElseThrow().group(), space.home());
        Map<String, Shape> shapes = facts.get(SceneFact.SCENE);
        for (Neighbour n : space.neighbours()) {
            facts.stop().check();
            Placement seen = place.moved(shift.minus(space.shift(n.group(), space.home())));
            Placement at = seen.times(near.intake.at());
            Vec3 fan = at.point(0, 0, -INSIDE_MM);
            if (n.isMatter() && !new Bounds(fan, fan).overlaps(n.bounds(Vec3.ZERO), 0)) {
                near.look(shapes.get(n.id()).tree(), seen, n.name());
            }
        }
        for (BesideFact.Beside b : facts.get(BesideFact.BESIDE)) {
            near.look(b.shape().tree(), place.moved(shift.minus(space.shift(b.standing().group(), space.home()))), b.standing().name());
        }
    }

    /** The nearest of everything looked at. */
    private static final class Nearest {
        private final AirPath.Intake intake;
        private double mm = Double.POSITIVE_INFINITY;
        private String of = "";

        Nearest(AirPath.Intake intake) {
            this.intake = intake;
        }

        /** @param seen from the assembly to the tree's coordinates */
        void look(TriangleTree tree, Placement seen, String name) {
            Rays rays = new Rays(tree);
            Placement at = seen.times(intake.at());
            for (double share : RADII) {
                for (int k = 0; k < (share == 0 ? 1 : ROUND); k++) {
                    double a = 2 * Math.PI * k / ROUND;
                    double r = share * intake.diameterMm() / 2;
                    rays.first(at.point(r * Math.cos(a), r * Math.sin(a), 0), at.w(), 0).filter(h -> h.distanceMm() < mm).ifPresent(h -> {
                        mm = h.distanceMm();
                        of = name;
                    });
                }
            }
        }
    }
}
