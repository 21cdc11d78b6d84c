package tinperch.desktop.temperature;

import java.util.List;
import tinperch.trial.Channel;
import tinperch.trial.limit.LimitLine;
import tinperch.workshop.log.RunReader;

/**
 * A channel that is drawn.
 *
 * @param nth of its kind in its run, {@code at} its place in a row
 * @param earlier whether it is of the run that is laid under
 */
record Curve(RunReader samples, Channel channel, int at, int nth, boolean earlier, List<LimitLine> limits) {
    /** What two samples may be apart and still belong together, s. */
    double gapS() {
        return 5 * Math.max(0.01, (samples.lastS() - samples.firstS()) / Math.max(1, samples.rows() - 1));
    }
}
