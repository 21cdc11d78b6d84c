package tinperch.machine.space;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.measure.MeasuredPattern;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * Where a part mounts: a face with holes, somewhere on the machine.
 *
 * @param group what it moves with, empty for what stands still
 * @param at middle of its holes with all axes at zero, mm
 * @param facing the way the face looks, unit
 * @param turnDeg how far its holes are turned about {@code facing}
 * @param halfWidthMm how well its place is known, 95 % half width
 * @param sheetId the sheet its holes were read on, empty when they were not
 */
public record Site(String id, String name, String group, Vec3 at, Vec3 facing, double turnDeg, double halfWidthMm, String sheetId) {

    /** How well a face is known that was only pointed at, mm. */
    private static final double POINTED_MM = 0.5;

    /**
     * A site in the middle of a face of a neighbour, with the holes that were read on a plate.
     *
     * @param outward the way the face looks, unit
     * @throws SpaceProblem when it looks along none of x, y and z
     */
    public static Site onFace(String id, Neighbour n, Vec3 outward) {
        for (Along a : Along.values()) {
            if (Math.abs(a.of(outward)) > 0.999) {
                Vec3 way = a.direction().times(Math.signum(a.of(outward)));
                Vec3 middle = n.corner().plus(n.size().times(0.5));
                boolean plate = n.form() == Neighbour.Form.PLATE && Math.abs(n.direction().dot(way)) > 0.999;
                return new Site(id, n.name() + ", " + a.word(a.of(outward) > 0 ? End.Where.HIGH : End.Where.LOW), n.group(), middle.plus(way.times(a.of(n.size()) / 2)), way, 0,
                        POINTED_MM, plate ? n.of() : "");
            }
        }
        throw new SpaceProblem("A site looks along x, y or z; this face looks elsewhere. Type its place below.");
    }

    /** Its frame: z the way it faces, x to the right of one who looks at it, as far as that goes. */
    public Placement frame() {
        Vec3 right = Math.abs(facing.z()) > 0.9 ? Vec3.X : Vec3.Z.cross(facing).unit();
        return Placement.along(at, facing, right).turnedDeg(turnDeg);
    }

    /** Middles of its holes with all axes at zero; only its own middle when they are not known. */
    public List<Vec3> holes(Optional<MeasuredPattern> pattern) {
        if (pattern.isEmpty()) {
            return List.of(at);
        }
        double mx = 0;
        double my = 0;
        for (double[] c : pattern.get().centres()) {
            mx += c[0] / 4;
            my += c[1] / 4;
        }
        List<Vec3> all = new ArrayList<>();
        for (double[] c : pattern.get().centres()) {
            all.add(frame().point(c[0] - mx, c[1] - my, 0));
        }
        return all;
    }

    /** How well the place of one of its holes is known: the site's own half width and the pattern's, as squares. */
    public double holeHalfWidthMm(Optional<MeasuredPattern> pattern) {
        return Math.hypot(halfWidthMm, pattern.map(MeasuredPattern::halfWidthMm).orElse(0.0));
    }
}
