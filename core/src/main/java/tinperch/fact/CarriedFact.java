package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;
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
            facts.get(HeldFact.HELD).stream().filter(h -> !h.held().there()).forEach(h -> all.add(new Carried("held." + h.held().name(), h.held().name(), "", h.tree())));
        });
        return all;
    }

    /** Head, washer, shank to its tip, and nut: along the screw's axis, which runs from the head to the tip. */
    private static List<Mesh> metal(Screw s, Placement piece) {
        List<Mesh> all = new ArrayList<>();
        Placement at = piece.times(s.axis());
        String of = " of " + s.name() + ", " + s.rowLabel();
        double under = s.shankFromMm();
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

    /** A bar of a convex section; what is so plain needs no kernel. */
    private static void bar(List<Mesh> all, String feature, Profile section, Placement at, double from, double to) {
        if (!(to > from)) {
            return;
        }
        double[] ring = section.ring(0);
        int n = ring.length / 2;
        double[] xyz = new double[6 * n];
        for (int i = 0; i < n; i++) {
            for (int end = 0; end < 2; end++) {
                Vec3 p = at.point(ring[2 * i], ring[2 * i + 1], end == 0 ? from : to);
                int o = 3 * (i + end * n);
                xyz[o] = p.x();
                xyz[o + 1] = p.y();
                xyz[o + 2] = p.z();
            }
        }
        int[] t = new int[3 * (4 * n - 4)];
        int k = 0;
        for (int i = 1; i + 1 < n; i++) {
            k = put(t, k, 0, i + 1, i);
            k = put(t, k, n, n + i, n + i + 1);
        }
        for (int i = 0; i < n; i++) {
            int j = (i + 1) % n;
            k = put(t, k, i, j, n + j);
            k = put(t, k, i, n + j, n + i);
        }
        // One face for all of it: only its name is asked for.
        all.add(new Mesh(xyz, t, new int[t.length / 3], List.of(new Mesh.Face(feature, at.w(), 0, List.of()))));
    }

    private static int put(int[] t, int k, int a, int b, int c) {
        t[k] = a;
        t[k + 1] = b;
        t[k + 2] = c;
        return k + 3;
    }
}
