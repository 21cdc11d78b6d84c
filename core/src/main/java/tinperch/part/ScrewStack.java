package tinperch.part;

import java.util.List;
import tinperch.hardware.ScrewThread;

/**
 * The screws of one site and everything they pass through, head first.
 *
 * @param site key prefix of the site, "tool"
 * @param label what a finding calls it, "tool screws"
 * @param lengthMm chosen screw length
 * @param layers what is clamped between head and thread
 * @param threadMm height of the nut, or the engagement wanted in an insert
 * @param minMm shortest length that works, {@code maxMm} the longest
 * @param count how many screws
 * @param lengthKey parameter of the length; {@code wallKey} the parameter that changes the grip one to one, with
 *     {@code wallMinMm} the least it may be
 */
public record ScrewStack(String site, String label, ScrewThread thread, ScrewThread.Head head, SeatKind seat,
        double lengthMm, List<Layer> layers, double threadMm, double minMm, double maxMm, int count,
        String lengthKey, String wallKey, double wallMm, double wallMinMm, double wallSign) {
    public ScrewStack {
        layers = List.copyOf(layers);
    }

    /** One clamped thing and its thickness, mm. */
    public record Layer(String name, double thicknessMm) {}

    public double gripMm() {
        return layers.stream().mapToDouble(Layer::thicknessMm).sum();
    }

    /** "M3×16". */
    public String screwName(double lengthMm) {
        return thread.name() + "×" + tinperch.quantity.Quantity.plain(lengthMm, tinperch.quantity.Unit.MM);
    }
}
