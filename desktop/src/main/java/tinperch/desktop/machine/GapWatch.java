package tinperch.desktop.machine;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.application.Platform;
import javafx.scene.control.Label;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Surroundings;
import tinperch.quantity.Quantity;
import tinperch.workshop.background.Latest;

/** Tells the smallest gap where the axes stand. Boxes are told at once and exactly; where other shapes stand too, their gaps follow from the background. */
final class GapWatch {
    private static final long QUIET_MS = 160;

    private final Latest measuring = new Latest("gaps", Platform::runLater);
    private final Label tightest;
    private final TravelStrips strips;
    private final String none;
    private boolean somethingSaid;
    private Gaps gaps = new Gaps(Surroundings.NONE);

    /** @param none said where nothing moves against anything */
    GapWatch(Label tightest, TravelStrips strips, String none) {
        this.none = none;
        this.tightest = tightest;
        this.strips = strips;
    }

    /** Takes other surroundings; what is still being measured is of those before, which may have had other axes. */
    void take(Gaps next) {
        measuring.cancel();
        gaps = next;
    }

    /** Says something else in its place; what is still being measured does not wipe it away. */
    void say(String sentence) {
        somethingSaid = true;
        tightest.setText(sentence);
    }

    /** The axes stand elsewhere. */
    void moved(Map<String, Double> pose) {
        somethingSaid = false;
        tell(gaps.betweenBoxes(pose));
        if (gaps.hasShapes()) {
            Gaps now = gaps;
            Map<String, Double> here = new HashMap<>(pose);
            List<String> names = strips.axes();
            measuring.askWhenQuiet(QUIET_MS, ticket -> {
                Optional<Gaps.Gap> gap = now.betweenShapes(here);
                ticket.deliver(() -> {
                    if (!somethingSaid) {
                        tell(gap);
                    }
                });
                for (String name : names) {
                    if (!ticket.counts()) {
                        return;
                    }
                    List<OptionalDouble> along = now.shapesAlong(name, here, TravelStrips.PLACES, ticket::counts);
                    ticket.deliver(() -> strips.show(name, along));
                }
            });
        }
    }

    private void tell(Optional<Gaps.Gap> gap) {
        tightest.setText(gap.map(g -> (g.mm() > 0 ? "Smallest gap here " + Quantity.mm(g.mm()) + ": "
                : "Run into one another by " + Quantity.mm(-g.mm()) + ": ") + g.a().name() + " – " + g.b().name()).orElse(none));
    }

    void stop() {
        measuring.cancel();
    }
}
