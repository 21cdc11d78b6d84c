package tinperch.desktop.reading;

import tinperch.quantity.Unit;
import tinperch.workshop.Workshop;

/** What things are read with: what was told last for a unit, and before anything was told the usual. */
public final class Instruments {
    private static final double FINE_MM = 0.05;

    private final Workshop workshop;

    public Instruments(Workshop workshop) {
        this.workshop = workshop;
    }

    /** @param half what the cell expects the instrument to be off by */
    String of(Unit unit, double half) {
        return workshop.preference(key(unit, half)).filter(w -> !w.isBlank()).orElse(usual(unit, half));
    }

    /** Remembers what the next readings in such cells are taken with. */
    void use(Unit unit, double half, String what) {
        workshop.setPreference(key(unit, half), what);
    }

    private static String key(Unit unit, double half) {
        return "instrument for " + usual(unit, half);
    }

    private static String usual(Unit unit, double half) {
        return switch (unit) {
            case MM -> half <= FINE_MM ? "calipers" : "rule";
            case GRAM -> "kitchen scale";
            case NEWTON -> "spring scale";
            default -> "by eye";
        };
    }
}
