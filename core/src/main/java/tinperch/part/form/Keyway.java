package tinperch.part.form;

import tinperch.solid.Placement;

/**
 * Where a key must get to, besides the heads of the part's own screws: a set screw.
 *
 * @param label what a finding calls it, "set screws of the rods"
 * @param thread of the set screw
 * @param at in the assembly: its socket's mouth, z out of it; for one that turns with a shaft the shaft's axis at its height
 * @param outMm for one on a shaft how far from the axis its mouth is; 0 for one that stays where it is
 */
public record Keyway(String label, String thread, Placement at, double outMm) {
    /** Whether it turns with a shaft: a key may come from any side. */
    public boolean turns() {
        return outMm > 0;
    }
}
