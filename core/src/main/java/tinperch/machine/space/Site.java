package tinperch.machine.space;

import java.util.List;
import java.util.Optional;
import tinperch.measure.sheet.HolePattern;
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
 * @param drawn its holes as the file of the model it lies on says, about their middle; null where there is no such model
 * @param onId the neighbour on whose face it lies and with which it goes where readings put that; empty for none
 * @param blown whether a fan keeps air moving over what stands there
 * @param alsoHeld what the part that was there held besides what it was there for: a cable, a probe, a shield
 */
public record Site(String id, String name, String group, Vec3 at, Vec3 facing, double turnDeg, double halfWidthMm, String sheetId, String onId, HolePattern drawn, List<String> alsoHeld, boolean blown) {
    private static final int MOST_HELD = 20;

    public Site {
        // Kept by an earlier version, or written by hand, they may be missing.
        sheetId = sheetId == null ? "" : sheetId;
        onId = onId == null ? "" : onId;
        alsoHeld = alsoHeld == null ? List.of() : alsoHeld.stream().filter(h -> h != null && !h.isBlank()).map(String::strip).distinct().limit(MOST_HELD).toList();
    }

    /** One on no neighbour that is drawn. */
    public Site(String id, String name, String group, Vec3 at, Vec3 facing, double turnDeg, double halfWidthMm, String sheetId) {
        this(id, name, group, at, facing, turnDeg, halfWidthMm, sheetId, "", null, List.of(), false);
    }

    /** How well a face is known that was only pointed at, mm. */
    static final double POINTED_MM = 0.5;

    /**
     * A site in the middle of a face of a neighbour, with the holes that were read on a plate.
     *
     * @param outward the way the face looks, unit
     * @throws SpaceProblem when it looks along none of x, y and z
     */
    public static Site onFace(String id, Neighbour n, Vec3 outward) {
        Face face = Face.looking(n.id(), outward).orElseThrow(() -> new SpaceProblem("A site looks along x, y or z; this face looks elsewhere. Type its place below."));
        boolean plate = n.form() == Neighbour.Form.PLATE && Math.abs(n.direction().dot(face.outward())) > 0.999;
        return new Site(id, face.words(n), n.group(), face.middle(n), face.outward(), 0, POINTED_MM, plate ? n.of() : "", n.id(), null, List.of(), false);
    }

    /** Where it is when what it lies on goes elsewhere or is found to be of another size. */
    Site following(Neighbour before, Neighbour after) {
        Vec3 by = Face.looking(onId, facing).map(f -> f.middle(after).minus(f.middle(before))).orElse(after.corner().minus(before.corner()));
        return by.length() < 1e-12 ? this : new Site(id, name, group, at.plus(by), facing, turnDeg, halfWidthMm, sheetId, onId, drawn, alsoHeld, blown);
    }

    /** The same, with what the part that was there held besides. */
    public Site alsoHolding(List<String> what) {
        return new Site(id, name, group, at, facing, turnDeg, halfWidthMm, sheetId, onId, drawn, what, blown);
    }

    /** The same, with air moving over it or without. */
    public Site blown(boolean next) {
        return new Site(id, name, group, at, facing, turnDeg, halfWidthMm, sheetId, onId, drawn, alsoHeld, next);
    }

    /** Its frame: z the way it faces, x to the right of one who looks at it, as far as that goes. */
    public Placement frame() {
        Vec3 right = Math.abs(facing.z()) > 0.9 ? Vec3.X : Vec3.Z.cross(facing).unit();
        return Placement.along(at, facing, right).turnedDeg(turnDeg);
    }

    /** Middles of its holes with all axes at zero; only its own middle when they are not known. */
    public List<Vec3> holes(Optional<HolePattern> pattern) {
        return pattern.or(() -> Optional.ofNullable(drawn)).map(p -> p.holes().stream().map(h -> frame().point(h.xMm(), h.yMm(), 0)).toList()).orElse(List.of(at));
    }

    /** How well the place of one of its holes is known: the site's own half width and the pattern's, as squares. */
    public double holeHalfWidthMm(Optional<HolePattern> pattern) {
        return Math.hypot(halfWidthMm, pattern.map(HolePattern::halfWidthMm).orElse(0.0));
    }
}
