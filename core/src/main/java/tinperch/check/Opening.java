package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.fact.TreesFact;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.FaceFrame;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.HoleFeature;
import tinperch.part.form.Piece;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.PartDesign;

/** Holes through what of the part stands in a straight way, each as a feature on the face it comes out of, which can be moved or taken away like any other. */
final class Opening {
    private static final double SQUARE = 1 - 1e-6;
    /** A wall is cut through a little farther than it is thick, mm. */
    private static final double BEYOND_MM = 0.2;
    /** No hole leaves a skin, mm. */
    private static final double SKIN_MM = 0.01;
    /** Beside the middle, where edges of faces like to cross: a line along one may miss both its sides. */
    private static final double OFF_MM = 0.0137;
    private static final int MOST = 3;
    private static final HoleFeature HOLE = new HoleFeature();

    private Opening() {}

    /**
     * A remedy that opens the way.
     *
     * @param way in the assembly: z along it, from what is to be reached
     * @param widthMm how wide it is to be, {@code asFarMm} how far
     * @return empty where nothing of the part is in the way, or where a face in it is not square to it
     */
    static Optional<Remedy> of(String label, Placement way, double widthMm, double asFarMm, Case c, Facts facts) {
        List<Change> all = new ArrayList<>();
        PartDesign part = c.part();
        List<MeshesFact.Made> made = facts.get(MeshesFact.BARE).pieces();
        for (int i = 0; i < made.size(); i++) {
            Piece piece = made.get(i).piece();
            Placement own = piece.place().inverse().times(way);
            Mesh mesh = made.get(i).mesh();
            double in = 0;
            for (Rays.Hit h : new Rays(facts.get(TreesFact.TREES).get(i)).hits(own.point(OFF_MM, OFF_MM / 2, 0), own.w())) {
                if (h.distanceMm() > asFarMm && h.entering() || all.size() == MOST) {
                    break;
                }
                if (h.entering()) {
                    in = h.distanceMm();
                    continue;
                }
                Optional<Feature> hole = hole(part, piece, mesh.faces().get(mesh.faceOf(h.triangle())), own, in, label, widthMm);
                if (hole.isEmpty()) {
                    return Optional.empty();
                }
                all.add(new Change.PutFeature(hole.get()));
                part = part.with(hole.get());
            }
        }
        return all.isEmpty() ? Optional.empty() : Optional.of(new Remedy(label, all, Optional.empty(), ""));
    }

    /** Through the wall that a way goes into at a distance and comes out of through a face. */
    private static Optional<Feature> hole(PartDesign part, Piece piece, Mesh.Face out, Placement own, double inMm, String label, double widthMm) {
        return out.normal().dot(own.w()) < SQUARE ? Optional.empty()
                : bored(part, piece, out, own.point(0, 0, inMm - BEYOND_MM), label, Values.START.with(HoleFeature.FOR, Optional.empty()).with(HoleFeature.DIAMETER, Math.round(10 * widthMm) / 10.0));
    }

    /**
     * A hole square into a face; empty where that face is none a feature can stand on.
     *
     * @param to where it is to reach to, and a little farther
     * @param v what it is, but for its depth
     */
    static Optional<Feature> bored(PartDesign part, Piece piece, Mesh.Face face, Vec3 to, String label, Values v) {
        Anchor anchor = Anchor.middle(piece.id(), face.feature(), face.normal());
        return FaceFrame.of(piece.solid(), anchor).map(f -> {
            Vec3 end = f.frame().local(to);
            return new Feature(part.nextFeatureId(), HOLE.id(), label.substring(0, 1).toUpperCase(Locale.ROOT) + label.substring(1), anchor.at(end.x(), end.y()), v.with(HoleFeature.DEPTH, Math.ceil(100 * (SKIN_MM - end.z())) / 100), false);
        });
    }
}
