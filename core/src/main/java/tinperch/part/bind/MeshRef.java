package tinperch.part.bind;

import java.util.List;
import tinperch.machine.model.Model;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/**
 * A downloaded model. Its body is fetched by what this says, so that it is data like any other reference.
 *
 * @param meshId which of the kept meshes it is
 * @param scale mm for one unit of its file
 * @param sizeMm of its box
 */
public record MeshRef(String name, String meshId, double scale, int triangles, Vec3 sizeMm, Model.Verdict verdict, String verdictWords,
        Known known) implements Ref {
    /** Made of models, never of sheets. */
    public static final RefKind<MeshRef> KIND = new RefKind<>(MeshRef.class, List.of(), s -> {
        throw new IllegalStateException("A model is not made of readings");
    });

    public static MeshRef of(Model m) {
        return new MeshRef(m.name(), m.meshId(), m.scale(), m.triangles(), m.sizeMm(), m.verdict(), m.verdictWords(),
                new Known(m.verdict() == Model.Verdict.AGREES ? Known.How.DRAWN : Known.How.USUAL, "drawn by somebody else", 0, List.of()));
    }

    @Override
    public String says() {
        return Quantity.plain(sizeMm.x(), Unit.MM) + " × " + Quantity.plain(sizeMm.y(), Unit.MM) + " × " + Quantity.mm(sizeMm.z());
    }
}
