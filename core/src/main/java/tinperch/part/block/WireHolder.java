package tinperch.part.block;

import java.util.List;
import tinperch.part.PartInputs;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** A ring beside a wall, open to one side, that a cable or a bundle is pressed into; it stands on the bed with the wall, so that it prints as it is. */
public final class WireHolder {
    public final NumberParam bore;
    public final NumberParam high;
    private final String label;
    private static final double WALL_MM = 2;
    /** Mouth as a share of the bore: a cable gives way, a bundle is pressed in strand by strand. */
    private static final double MOUTH = 0.7;
    /** How far the ring sinks into the wall. */
    private static final double ROOT_MM = 0.6;
    private static final double BEYOND_MM = 1;
    private static final int SIDES = 36;

    /** @param id beginning of its keys, {@code label} what it is called, "Wire clip" */
    public WireHolder(Card card, String id, String label, String holds) {
        this.label = label;
        bore = NumberParam.length(id + ".bore", card, label + " Ø", 0, 40, 0, holds + "; 0 for none");
        high = NumberParam.length(id + ".high", card, label + "'s height", 3, 100, 10, "Along the cable");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(bore, high);
    }

    /** The ring, with its bore and mouth. */
    public record Made(List<Solid> bodies, List<Solid> cuts) {}

    /**
     * Beside a wall's end.
     *
     * @param endX where the wall ends, {@code side} 1 or −1: which way is out
     * @param y middle of the wall's thickness; the mouth looks along y
     */
    public Made beside(PartInputs in, double endX, int side, double y) {
        double d = in.get(bore);
        if (d <= 0) {
            return new Made(List.of(), List.of());
        }
        double r = d / 2 + WALL_MM;
        double x = endX + side * (r - ROOT_MM);
        double mouth = d * MOUTH;
        return new Made(List.of(Leaf.extrusion(label, Profile.disc(x, y, 2 * r, SIDES), Placement.HERE, 0, in.get(high))), List.of(
                Leaf.extrusion(label + " bore", Profile.hole(x, y, d, SIDES), Placement.HERE, -BEYOND_MM, in.get(high) + BEYOND_MM),
                Leaf.extrusion(label + " mouth", Profile.rectangle(x, y + r / 2 + BEYOND_MM / 2, mouth, r + BEYOND_MM), Placement.HERE, -BEYOND_MM, in.get(high) + BEYOND_MM)));
    }
}
