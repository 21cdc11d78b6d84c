package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Held;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** What a part carries into the machine beside itself, in the assembly's coordinates: its screws with washers, nuts and tips, and the things it holds. */
public final class CarriedFact implements Fact<List<CarriedFact.Carried>> {
    public static final CarriedFact CARRIED = new CarriedFact();
    private static final int ROUND_SIDES = 24;

    private CarriedFact() {}

    /**
     * Something carried.
     *
     * @param id within the part
     * @param pieceId of the piece it is on; empty for what all hold
     * @param tree its faces' features say what they are of: "head of M3×16, tool-side screws"
     */
    public record Carried(String id, String name, String pieceId, TriangleTree tree) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        PartForm form = facts.get(FormFact.FORM).form().orElse(null);
        return form == null ? List.of() : List.of(FormFact.solids(c, facts), form.screws(), c.hardware().threads());
    }

    @Override
    public List<Carried> compute(Case c, Facts facts) {
        List<Carried> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().ifPresent(form -> {
            for (Piece p : form.pieces()) {
                List<Mesh> metal = new ArrayList<>();
                form.screws().stream().filter(s -> s.pieceId().equals(p.id())).forEach(s -> metal.addAll(metal(s, p.place())));
                if (!metal.isEmpty()) {
                    Mesh mesh = Mesh.gathered(metal);
                    all.add(new Carried("screws." + p.id(), "screws of the " + p.name(), p.id(), TriangleTree.of(mesh)));
                }
            }
            for (Held h : form.held()) {
                facts.stop().check();
                if (h.there()) {
                    continue;
                }
                try {
                    all.add(new Carried("held." + h.name(), h.name(), "", TriangleTree.of(SolidKernel.evaluate(h.solid(), Tolerances.USUAL, facts.hands(), facts.memory("held " + h.name())))));
                } catch (SolidException e) {
                    // What cannot be drawn is not in the way.
                    continue;
                }
            }
        });
        return all;
    }

    /** Head, washer, shank to its tip, and nut: along the screw's axis, which runs from the head to the tip. */
    private static List<Mesh> metal(Screw s, Placement piece) {
        List<Mesh> all = new ArrayList<>();
        Placement at = piece.times(s.axis());
        String of = " of " + s.name() + ", " + s.rowLabel();
        double under = s.headMm() - (s.onPart() ? 0 : s.heldMm()) - s.washerMm();
        bar(all, "head" + of, Profile.disc(0, 0, s.thread().headDiameterMm(s.head()), ROUND_SIDES), at, under - s.thread().headHeightMm(s.head()), under);
        if (s.washer()) {
            bar(all, "washer" + of, Profile.disc(0, 0, s.thread().washerOuterMm(), ROUND_SIDES), at, under, under + s.washerMm());
        }
        bar(all, "tip" + of, Profile.disc(0, 0, s.thread().diameterMm(), ROUND_SIDES), at, under, under + s.lengthMm());
        double nut = s.end().nutMm(s.thread());
        if (nut > 0) {
            // A loose nut sits behind what is clamped besides the part.
            double behind = s.endMm() + (s.end() == SeatKind.LOOSE_NUT && s.onPart() ? s.heldMm() : 0);
            bar(all, "nut" + of, Profile.hexagon(0, 0, s.thread().nutAcrossFlatsMm(), 0), at, behind, behind + nut);
        }
        return all;
    }

    private static void bar(List<Mesh> all, String feature, Profile section, Placement at, double from, double to) {
        if (to > from) {
            all.add(SolidKernel.evaluate(Leaf.extrusion(feature, section, at, from, to), Tolerances.USUAL));
        }
    }
}
