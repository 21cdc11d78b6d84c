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
