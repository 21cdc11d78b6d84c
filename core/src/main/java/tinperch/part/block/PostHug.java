package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.form.Cavity;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * An adapter between a post and what is screwed to it: a trough that hugs the post on both sides, so that screws alone do not keep it in line. It is as
 * long as the row of holes asks and printed standing on its end; the post's screws go through it.
 */
public final class PostHug {
    public final NumberParam base;
    public final NumberParam cheek;
    public final NumberParam deep;
    public final NumberParam play;
    private static final double BEYOND_MM = 1;
    private static final int SIDES = 48;

    public PostHug(Card card) {
        base = NumberParam.length("hug.base", card, "Adapter", 0, 30, 0, "Thickness between the post and the wall; 0 for none");
        cheek = NumberParam.length("hug.cheek", card, "Adapter's cheeks", 1.2, 20, 3, "Thickness either side of the post");
        deep = NumberParam.length("hug.deep", card, "How far round", 2, 80, 12, "Along the post's sides");
        play = NumberParam.length("hug.play", card, "Adapter's play", 0, 2, 0.05, "Between cheek and post, each side, beside half of the printer's slot fit; 0.1 to 0.2 together for profiles (common practice)");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(base, cheek, deep, play);
    }

    /**
     * The adapter of a row.
     *
     * @param row of screws in the wall, {@code alongMm} half of its length
     * @param postMm the post's width as it is known
     */
    public Piece of(PartInputs in, StandingRow row, double alongMm, double postMm) {
        double inner = (postMm + in.fits().slotMm()) / 2 + in.get(play);
        double outer = inner + in.get(cheek);
        double thick = in.get(base);
        // Its own frame: x across the post, y away from it, z along it; the wall's side is y = 0.
        Profile section = Profile.of(new double[] {-outer, -thick - in.get(deep), -inner, -thick - in.get(deep), -inner, -thick, inner, -thick, inner, -thick - in.get(deep), outer, -thick - in.get(deep), outer, 0, -outer, 0});
        List<Solid> cuts = new ArrayList<>();
        List<Cavity> cavities = new ArrayList<>();
        double standoff = row.row().standoffMm();
        Placement place = row.up().times(new Placement(new Vec3(0, 0, -standoff), Vec3.X.times(-1), Vec3.Z, Vec3.Y)).times(Placement.at(0, 0, -alongMm));
        Placement back = place.inverse();
        for (Screw s : row.screws()) {
            Placement axis = back.times(s.axis());
            Vec3 at = axis.origin();
            String of = "adapter's hole " + s.id().substring(s.id().indexOf('.') + 1);
            Placement hole = new Placement(new Vec3(at.x(), 0, at.z()), Vec3.X, Vec3.Z, Vec3.Y.times(-1));
            cuts.add(Leaf.extrusion(of, Profile.hole(0, 0, s.boreMm(), SIDES), hole, -BEYOND_MM, thick + BEYOND_MM));
            Cavity cavity = Cavity.hole(of, of, of, hole, s.boreMm(), thick);
            cavities.add(cavity);
            cuts.add(LyingHole.roof(cavity));
        }
        Solid body = Leaf.extrusion("adapter", section, Placement.HERE, 0, 2 * alongMm);
        return new Piece("adapter", "adapter", new Solid.Difference(body, cuts), cavities, place, 1, row.up().w().times(-40), List.of(new Reach("adapter", Vec3.Y, new Lever(base, 1, "adapter"))));
    }
}
