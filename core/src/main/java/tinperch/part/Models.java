package tinperch.part;

import tinperch.part.bind.MeshRef;
import tinperch.part.param.PartProblem;
import tinperch.solid.Mesh;

/** Where downloaded models come from; the same reference always gives the same mesh and the same body. */
public interface Models {
    /** For parts and machines without any. */
    Models NONE = new Models() {
        @Override
        public Mesh mesh(MeshRef ref) {
            throw new PartProblem("The model “" + ref.name() + "” is not kept any more; bring it in again.");
        }

        @Override
        public ModelBody body(MeshRef ref) {
            throw new PartProblem("The model “" + ref.name() + "” is not kept any more; bring it in again.");
        }
    };

    /**
     * The mesh of a kept model, mm.
     *
     * @throws PartProblem when it is lost
     */
    Mesh mesh(MeshRef ref);

    /**
     * The body of a kept model, ready to be cut.
     *
     * @throws PartProblem when it is lost, open or too fine to be cut
     */
    ModelBody body(MeshRef ref);
}
