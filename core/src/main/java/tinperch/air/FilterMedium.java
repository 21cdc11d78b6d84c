package tinperch.air;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/**
 * What a cartridge is filled with, one row of {@code filters.csv} (values from memory).
 *
 * @param lossPa what it takes from the air at 0.45 m/s through its face, Pa
 * @param particlesPercent of the finest particles it keeps, %
 * @param smells whether it keeps smells and vapours
 * @param lifeH hours it lasts, {@code lifeMonths} months after which it is changed anyway
 */
public record FilterMedium(String name, double lossPa, double particlesPercent, boolean smells, double lifeH, double lifeMonths) {
    public static final List<FilterMedium> ALL = Table.read(FilterMedium.class, "filters.csv", FilterMedium.class);
    /** One that keeps less lets the fine ones through (class H13 and better: EN 1822, ISO 29463). */
    public static final double FINE_PERCENT = 99.95;

    /** The row of a name; empty where there is none. */
    public static Optional<FilterMedium> of(String name) {
        return ALL.stream().filter(m -> m.name.equals(name)).findFirst();
    }

    /** Whether it keeps the fine particles of hot plastic. */
    public boolean fine() {
        return particlesPercent >= FINE_PERCENT;
    }
}
