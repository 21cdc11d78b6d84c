package tinperch.part;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.fact.MeshesFact;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Anchor.From;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.FeatureKinds;
import tinperch.upgrade.PartDesign;

/** Features of every kind with any values at any place: the part stays closed, or the feature is left out with a sentence. */
public class FeaturesFuzzTest {
    private static final Vec3[] WAYS = {Vec3.X, Vec3.Y, Vec3.Z, Vec3.X.times(-1), Vec3.Y.times(-1), Vec3.Z.times(-1)};

    private static Values any(FeatureKind kind, Random r) {
        Values v = Values.START;
        for (Param<?> p : kind.params()) {
            if (p instanceof NumberParam n && n.unit() == Unit.COUNT) {
                v = n.set(v, (double) (r.nextInt(3) > 0 ? (int) n.min() : (int) n.min() + r.nextInt(4)));
            } else if (p instanceof SwitchParam s) {
                v = s.set(v, r.nextBoolean());
            } else if (p instanceof NumberParam n) {
                double wide = r.nextInt(5) == 0 ? n.max() : Math.min(n.max(), Math.max(n.start() * 3, n.min() + 4));
                v = n.set(v, n.min() + (wide - n.min()) * r.nextDouble());
            } else if (p instanceof ChoiceParam<?> c) {
                v = c.typed(v, c.options().get(r.nextInt(c.options().size())).label());
            }
        }
        return v;
    }

    private static Anchor somewhere(Random r, int n) {
        String face = n > 1 && r.nextInt(3) == 0 ? "f" + (1 + r.nextInt(n - 1)) : r.nextInt(9) == 0 ? "no such face" : "plate";
        Anchor a = new Anchor("part", face, WAYS[r.nextInt(WAYS.length)], From.values()[r.nextInt(3)], -30 + 60 * r.nextDouble(), From.values()[r.nextInt(3)], -30 + 60 * r.nextDouble());
        return n > 1 && r.nextInt(6) == 0 ? a.across(From.HOLE, "f" + (1 + r.nextInt(n - 1)), 5 * r.nextDouble()) : a;
    }

    @Test(groups = "deep")
    public void thePartStaysClosedOrTheFeatureIsLeftOutInWords() {
        Random r = new Random(31);
        List<FeatureKind> kinds = FeatureKinds.ALL.stream().filter(k -> k.around().isEmpty()).toList();
        int made = 0;
        int left = 0;
        int refused = 0;
        for (int run = 0; run < 120; run++) {
            PartDesign p = PartExamples.plate(PartExamples.values());
            List<String> on = new ArrayList<>();
            for (int n = 1; n <= 1 + r.nextInt(4); n++) {
                FeatureKind kind = kinds.get(r.nextInt(kinds.size()));
                p = p.with(new Feature("f" + n, kind.id(), "F" + n, somewhere(r, n), any(kind, r), false));
                on.add("f" + n);
            }
            Case c = PartExamples.caseOf(p, PartExamples.shop(60, 50, 32, 32));
            FactsOnce facts = new FactsOnce(c);
            FormFact.Answer form = facts.get(FormFact.FORM);
            assertTrue(form.form().isPresent(), "a feature never takes the part away: " + form.problem());
            form.left().values().forEach(why -> assertTrue(why.length() > 12 && why.endsWith("."), why));
            left += form.left().size();
            made += on.size() - form.left().size();
            MeshesFact.Answer meshes = facts.get(MeshesFact.BARE);
            if (meshes.pieces().isEmpty()) {
                assertTrue(meshes.problem().length() > 20, "what cannot be computed is said");
                refused++;
            } else {
                assertEquals(meshes.pieces().get(0).mesh().openEdges(), 0);
                assertTrue(meshes.pieces().get(0).mesh().volumeMm3() >= 0);
            }
        }
        assertTrue(made > 120 && left > 5, made + " made, " + left + " left out");
        assertTrue(refused <= 6, refused + " of 120 parts could not be joined");
    }
}
