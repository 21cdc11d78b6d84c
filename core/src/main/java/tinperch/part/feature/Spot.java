package tinperch.part.feature;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.part.feature.Anchor.From;
import tinperch.part.form.Cavity;
import tinperch.part.form.Piece;
import tinperch.part.param.PartProblem;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * A face with the place on it an anchor names, and everything a place on it can count from or come in line with.
 *
 * @param holes whose axis meets the face squarely
 * @param acrossMm from the middle of the face to the right, {@code upwardsMm} up
 */
public record Spot(FaceFrame face, List<Hole> holes, double acrossMm, double upwardsMm) {
    /** Places are told to a tenth of a millimetre when they are dragged. */
    private static final double STEP_MM = 0.1;
    private static final double SAME_MM = 0.01;

    public Spot {
        holes = List.copyOf(holes);
    }

    /**
     * A hole a place can count from.
     *
     * @param feature stable name, {@code label} what the owner calls it
     */
    public record Hole(String feature, String label, double acrossMm, double upwardsMm) {}

    /** What an anchor names on a piece. */
    public static Spot of(Piece piece, Anchor anchor) {
        return of(piece.solid(), piece.cavities(), anchor);
    }

    /**
     * What an anchor names.
     *
     * @throws PartProblem when its face, or a hole it counts from, is gone
     */
    static Spot of(Solid solid, List<Cavity> cavities, Anchor a) {
        FaceFrame face = FaceFrame.of(solid, a).orElseThrow(() -> new PartProblem("The face it was on is gone; put it on another."));
        List<Hole> holes = new ArrayList<>();
        for (Cavity c : cavities) {
            if (Math.abs(c.axis().w().dot(face.frame().w())) > 1 - 1e-6) {
                Vec3 at = face.frame().local(c.axis().origin());
                if (holes.stream().noneMatch(h -> Math.hypot(h.acrossMm - at.x(), h.upwardsMm - at.y()) < SAME_MM)) {
                    holes.add(new Hole(c.feature(), c.label(), at.x(), at.y()));
                }
            }
        }
        return new Spot(face, holes, 0, 0).at(a);
    }

    /**
     * The place another anchor names on the same face.
     *
     * @throws PartProblem when a hole it counts from is gone
     */
    public Spot at(Anchor a) {
        double x = from(a.across(), a.acrossMm(), face.halfAcrossMm(), a.acrossHole(), holes, Hole::acrossMm);
        double y = from(a.upwards(), a.upwardsMm(), face.halfUpwardsMm(), a.upwardsHole(), holes, Hole::upwardsMm);
        return new Spot(face, holes, x, y);
    }

    private static double from(From from, double mm, double half, String hole, List<Hole> holes, java.util.function.ToDoubleFunction<Hole> of) {
        return zero(from, half, hole, holes, of).orElseThrow(() -> new PartProblem("The hole it was measured from is gone; measure it from an edge or the middle."))
                + (from == From.FAR_EDGE ? -mm : mm);
    }

    /** Where a dimension is zero, from the middle of the face. */
    private static Optional<Double> zero(From from, double half, String hole, List<Hole> holes, java.util.function.ToDoubleFunction<Hole> of) {
        return switch (from) {
            case NEAR_EDGE -> Optional.of(-half);
            case MIDDLE -> Optional.of(0.0);
            case FAR_EDGE -> Optional.of(half);
            case HOLE -> holes.stream().filter(h -> h.feature.equals(hole)).map(of::applyAsDouble).findFirst();
        };
    }

    /** Where the dimension across counts from, and where the dimension upwards does: on the face, from its middle, mm. */
    public double[] zeros(Anchor a) {
        return new double[] {zero(a.across(), face.halfAcrossMm(), a.acrossHole(), holes, Hole::acrossMm).orElse(0.0),
            zero(a.upwards(), face.halfUpwardsMm(), a.upwardsHole(), holes, Hole::upwardsMm).orElse(0.0)};
    }

    /** The frame at the place. */
    public Placement frame() {
        Placement f = face.frame();
        return new Placement(f.point(acrossMm, upwardsMm, 0), f.u(), f.v(), f.w());
    }

    /**
     * An anchor dragged to a place on its face. Near a line of holes or the middle it is put in line with them, and stays so when the
     * body changes; elsewhere it counts from where it did.
     *
     * @param x from the middle of the face to the right, {@code y} up, mm
     * @param reachMm how near a line catches it
     */
    public Anchor dragged(Anchor a, double x, double y, double reachMm) {
        Anchor moved = counted(a, x, y, a.across(), a.acrossHole(), a.upwards(), a.upwardsHole());
        Optional<Hole> across = nearest(x, reachMm, Hole::acrossMm);
        if (Math.abs(x) <= reachMm && across.map(h -> Math.abs(h.acrossMm - x) >= Math.abs(x)).orElse(true)) {
            moved = moved.across(From.MIDDLE, "", 0);
        } else if (across.isPresent()) {
            moved = moved.across(From.HOLE, across.get().feature, 0);
        }
        Optional<Hole> up = nearest(y, reachMm, Hole::upwardsMm);
        if (Math.abs(y) <= reachMm && up.map(h -> Math.abs(h.upwardsMm - y) >= Math.abs(y)).orElse(true)) {
            return moved.upwards(From.MIDDLE, "", 0);
        }
        return up.isPresent() ? moved.upwards(From.HOLE, up.get().feature, 0) : moved;
    }

    /** The same place counted from elsewhere. */
    public Anchor counted(Anchor a, From across, String acrossHole, From upwards, String upwardsHole) {
        return counted(a, acrossMm, upwardsMm, across, acrossHole, upwards, upwardsHole);
    }

    private Anchor counted(Anchor a, double x, double y, From across, String acrossHole, From upwards, String upwardsHole) {
        double dx = x - zero(across, face.halfAcrossMm(), acrossHole, holes, Hole::acrossMm).orElse(0.0);
        double dy = y - zero(upwards, face.halfUpwardsMm(), upwardsHole, holes, Hole::upwardsMm).orElse(0.0);
        return a.across(across, acrossHole, told(across == From.FAR_EDGE ? -dx : dx)).upwards(upwards, upwardsHole, told(upwards == From.FAR_EDGE ? -dy : dy));
    }

    private Optional<Hole> nearest(double at, double reachMm, java.util.function.ToDoubleFunction<Hole> of) {
        return holes.stream().filter(h -> Math.abs(of.applyAsDouble(h) - at) <= reachMm).min(Comparator.comparingDouble(h -> Math.abs(of.applyAsDouble(h) - at)));
    }

    private static double told(double mm) {
        return Math.round(mm / STEP_MM) * STEP_MM + 0.0;
    }
}
