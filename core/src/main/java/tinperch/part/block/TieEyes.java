package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.form.Cavity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.shape.Profiles;

/** Two slots a cable tie goes through, with the bridge it is pulled tight around between them. */
public final class TieEyes {
    private static final double PLAY_MM = 0.5;
    private static final double BEYOND_MM = 1;

    private final List<Solid> cuts = new ArrayList<>();
    private final List<Cavity> cavities = new ArrayList<>();

    /** Cable ties as they are sold; widths and thicknesses common practice, values from memory. */
    public enum Tie {
        SMALL("2.5 mm", 2.5, 1.0), MIDDLE("3.6 mm", 3.6, 1.2), LARGE("4.8 mm", 4.8, 1.3);

        private final String label;
        private final double widthMm;
        private final double thickMm;

        Tie(String label, double widthMm, double thickMm) {
            this.label = label;
            this.widthMm = widthMm;
            this.thickMm = thickMm;
        }

        /** Its width in words. */
        public String label() {
            return label;
        }
    }

    /**
     * A pair.
     *
     * @param id of its leaves and its group, {@code label} what findings call it
     * @param at the middle of the bridge on the face, z out of the material; the bundle runs along its y
     * @param depthMm how thick it is there
     */
    public TieEyes(PartInputs in, String id, String label, Tie tie, double bridgeMm, Placement at, double depthMm) {
        double play = PLAY_MM + in.fits().slotMm();
        double thick = tie.thickMm + play;
        double run = Math.max(0.2, tie.widthMm + play - thick);
        for (int side = -1; side <= 1; side += 2) {
            String of = side < 0 ? " left" : " right";
            // The slot's own x runs along the bundle.
            Placement slot = new Placement(at.point(side * (bridgeMm + thick) / 2, 0, 0), at.v(), at.u().times(-1), at.w());
            cuts.add(Leaf.extrusion(id + of, Profiles.slot(0, 0, run, thick, 12), slot, -depthMm - BEYOND_MM, BEYOND_MM));
            Placement inward = new Placement(slot.origin(), slot.u(), slot.v().times(-1), slot.w().times(-1));
            cavities.add(new Cavity(id + of, id, label + of, Cavity.Purpose.POCKET, inward, thick, 0, depthMm, true, 0, List.of()).slotted(run));
        }
    }

    /** The two slots, right through. */
    public List<Solid> cuts() {
        return List.copyOf(cuts);
    }

    /** The same as things with a purpose. */
    public List<Cavity> cavities() {
        return List.copyOf(cavities);
    }
}
