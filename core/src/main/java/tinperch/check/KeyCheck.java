package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.AccessFact;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.KeyFact;
import tinperch.hardware.HexKey;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;

/** Does a key still get to the set screws once the part is where it belongs? It has to come straight, and to turn from one flat to the next, a sixth of a turn; keys by ISO 2936. */
public final class KeyCheck implements Check {
    /** A hole a key is led through is wider than the key by this, mm (common practice). */
    private static final double WIDER_MM = 2;

    @Override
    public String about() {
        return "set screws";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        // Asked only where there is one: what was judged before stays remembered.
        if (c.site().isPresent() && facts.get(FormFact.FORM).form().map(f -> !f.keyways().isEmpty()).orElse(false)) {
            facts.get(KeyFact.KEYS).forEach(w -> all.add(of(w, "key." + all.size()).with(windows(w, c, facts))));
        }
        return all.stream().map(f -> f.about(Subject.LAYOUT)).toList();
    }

    /** Holes through which a driver gets there straight. */
    private static List<Remedy> windows(KeyFact.Way w, Case c, Facts facts) {
        double wide = w.key().acrossMm() + WIDER_MM;
        return w.butForThePart().stream().flatMap(at -> Opening.of("a hole of " + Quantity.mm(wide) + " for the key", at, wide, AccessFact.DRIVER_MM, c, facts).stream()).limit(1).toList();
    }

    private static Finding of(KeyFact.Way w, String id) {
        String key = "a key of " + Quantity.mm(w.key().acrossMm()) + " (arms of " + Quantity.mm(w.key().shortMm()) + " and " + Quantity.mm(w.key().longMm()) + ", ISO 2936)";
        String sides = w.keyway().turns() ? ", to whichever side its shaft is turned" : "";
        Margin m = new Margin(w.straightMm(), w.key().shortMm(), Unit.MM, true);
        if (w.isOpen()) {
            return Finding.of(id, Severity.FINE, "A key gets to the " + w.keyway().label(), "Straight and round, for " + key + sides + ".").measured(m);
        }
        boolean shut = w.straightMm() < w.key().shortMm();
        return Finding.of(id, Severity.STOP, shut ? "No way for a key to the " + w.keyway().label() + ": " + w.by() + " stands before it" : "A key in the " + w.keyway().label() + " turns " + Math.round(w.turnDeg()) + "° only",
                "At most " + Quantity.mm(Math.round(w.straightMm() * 10) / 10.0) + " are free before it" + sides + ", wherever the axes stand at home and at their ends; " + key + " has to go in straight and to turn by " + Math.round(HexKey.FLATS_DEG)
                        + "°, from one flat to the next. Open a window in what stands there, or put it elsewhere.").measured(shut ? m : new Margin(w.turnDeg(), HexKey.FLATS_DEG, Unit.DEG, true));
    }
}
