package tinperch.hardware;

/**
 * A threaded insert melted into a printed hole (common practice; the owner may edit the rows).
 *
 * @param thread designation of its thread
 * @param lengthMm length, also the depth it takes
 * @param outerMm largest outside diameter
 * @param holeMm diameter of the hole to print, before the printer's own hole offset
 */
public record HeatSetInsert(String thread, double lengthMm, double outerMm, double holeMm) {
    public String name() {
        return thread + "×" + tinperch.quantity.Quantity.plain(lengthMm, tinperch.quantity.Unit.MM);
    }
}
