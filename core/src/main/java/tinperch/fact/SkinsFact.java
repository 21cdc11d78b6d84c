package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import tinperch.part.form.AirPath;
import tinperch.part.form.PartForm;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.query.Rays;
import tinperch.upgrade.Case;

/**
 * The thinnest place of the skin each way of air is led in, measured on the mesh: from places all over its inside straight into the plastic until
 * that ends. Where it ends in another way of air is no skin but what divides the two.
 */
public final class SkinsFact implements Fact<List<SkinsFact.Skin>> {
    public static final SkinsFact SKINS = new SkinsFact();
    /** How far into the plastic a line begins, mm. */
    private static final double WITHIN_MM = 1e-4;

    private SkinsFact() {}

    /**
     * A skin.
     *
     * @param thinnestMm empty where nothing of it was found
     */
    public record Skin(AirPath air, String pieceId, OptionalDouble thinnestMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), facts.get(FormFact.FORM).form().map(PartForm::air).orElse(List.of()));
    }

    @Override
    public List<Skin> compute(Case c, Facts facts) {
        List<Skin> all = new ArrayList<>();
        List<AirPath> ways = facts.get(FormFact.FORM).form().map(PartForm::air).orElse(List.of()).stream().filter(a -> !a.inside().isEmpty()).toList();
        List<MeshesFact.Made> pieces = facts.get(MeshesFact.BARE).pieces();
        for (AirPath air : ways) {
            for (int i = 0; i < pieces.size(); i++) {
                Mesh mesh = pieces.get(i).mesh();
                if (mesh.faces().stream().anyMatch(f -> f.feature().equals(air.inside()))) {
                    all.add(new Skin(air, pieces.get(i).piece().id(), thinnest(mesh, new Rays(facts.get(TreesFact.TREES).get(i)), ways, air, facts)));
                }
            }
        }
        return all;
    }

    private static OptionalDouble thinnest(Mesh mesh, Rays rays, List<AirPath> ways, AirPath air, Facts facts) {
        double least = Double.MAX_VALUE;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Mesh.Face face = mesh.faces().get(mesh.faceOf(t));
            if (!face.feature().equals(air.inside())) {
                continue;
            }
            facts.stop().check();
            Vec3 in = face.normal().times(-1);
            Vec3 a = corner(mesh, t, 0);
            Vec3 b = corner(mesh, t, 1);
            Vec3 c = corner(mesh, t, 2);
            for (double[] w : new double[][] {{1 / 3.0, 1 / 3.0}, {0.7, 0.15}, {0.15, 0.7}, {0.15, 0.15}}) {
                Vec3 from = a.times(w[0]).plus(b.times(w[1])).plus(c.times(1 - w[0] - w[1])).plus(in.times(WITHIN_MM));
                var hit = rays.first(from, in, 0);
                if (hit.isPresent() && ways.stream().noneMatch(x -> x.inside().equals(mesh.faces().get(mesh.faceOf(hit.get().triangle())).feature()))) {
                    least = Math.min(least, hit.get().distanceMm() + WITHIN_MM);
                }
            }
        }
        return least == Double.MAX_VALUE ? OptionalDouble.empty() : OptionalDouble.of(least);
    }

    private static Vec3 corner(Mesh m, int triangle, int k) {
        int p = m.corner(triangle, k);
        return new Vec3(m.x(p), m.y(p), m.z(p));
    }
}
