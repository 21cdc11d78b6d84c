package tinperch.part;

import java.util.List;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.part.bind.Binding;
import tinperch.part.bind.MeshRef;
import tinperch.part.param.Values;
import tinperch.solid.Mesh;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** Cases of parts made from models. */
public final class ModelExamples {
    private ModelExamples() {}

    /** A store of one model. */
    public static Models only(Mesh mesh) {
        ModelBody body = ModelBody.of("model", mesh);
        return new Models() {
            @Override
            public Mesh mesh(MeshRef ref) {
                return mesh;
            }

            @Override
            public ModelBody body(MeshRef ref) {
                return body;
            }
        };
    }

    public static Model model(Mesh mesh) {
        return new Model("k", "block", "mesh", 1, mesh.triangleCount(), mesh.bounds().size(), "", List.of());
    }

    /** A part made from a mesh, printed where holes come out smaller by the offset. */
    public static Case of(Mesh mesh, Values v, double offsetMm, String mark) {
        return of(model(mesh), only(mesh), v, offsetMm, mark);
    }

    public static Case of(Model model, Models models, Values v, double offsetMm, String mark) {
        Machine upgraded = PartExamples.machine("upgraded", 200, 200, 200, Machine.State.IN_PIECES, "PETG").with(model);
        Shop s = PartExamples.shop(upgraded);
        Shop shop = new Shop(s.machines().stream().map(m -> m.id().equals("large") ? m.withHoleOffset(offsetMm) : m).toList(), s.hardware(), s.drawer(), models);
        PartDesign p = PartDesign.of("p1", "fitted-model", "Clip", v).bound("model", new Binding.OfModel("k"));
        return Case.of(PartExamples.upgrade(p), "p1", shop, mark);
    }
}
