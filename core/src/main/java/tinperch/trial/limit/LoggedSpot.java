package tinperch.trial.limit;

import java.util.ArrayList;
import java.util.List;
import tinperch.machine.Machine;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.upgrade.Revision;

/**
 * A spot of a kept revision that was recorded.
 *
 * @param peakC hottest, °C
 * @param material it was printed in
 */
public record LoggedSpot(Channel spot, Run run, double peakC, Material material) {
    /** All of a revision, the hottest first. */
    public static List<LoggedSpot> of(Revision r, Machine machine) {
        List<LoggedSpot> all = new ArrayList<>();
        for (Run run : machine.runs()) {
            for (Channel c : run.channels()) {
                if (c.kind() == Channel.Kind.SPOT && c.of().equals(r.upgradeId() + "/" + r.partId()) && c.revision().equals(r.mark()) && c.kept().isPresent()) {
                    Material.find(r.part().material()).ifPresent(m -> all.add(new LoggedSpot(c, run, c.kept().get().peakC(), m)));
                }
            }
        }
        all.sort((a, b) -> Double.compare(b.peakC, a.peakC));
        return all;
    }

    /** Whether it was hotter than its material stands loaded. */
    public boolean isOver() {
        return peakC > material.useLimitC();
    }

    /** "“Lower edge” reached 71 °C, 3 K above what PETG stands loaded". */
    public String words() {
        double off = Math.abs(peakC - material.useLimitC());
        return "“" + spot.name() + "” reached " + Quantity.show(Math.round(peakC * 10) / 10.0, Unit.CELSIUS) + ", " + Quantity.fixed(off, 1) + " K " + (isOver() ? "above" : "below") + " what " + material.name() + " stands loaded"
                + (run.simulated() ? " (simulated)" : "");
    }
}
