package tinperch.heat;

import tinperch.solid.Bounds;

/**
 * Something hot beside the solid, as the box around it.
 *
 * @param id by which whoever asks knows it
 * @param tempC of its surface, °C
 * @param emissivity of its surface, 0…1
 */
public record HotBody(String id, Bounds box, double tempC, double emissivity) {
    /** Of bare machined metal (value from memory; 0.05 polished to 0.4 dirty). */
    public static final double BARE = 0.2;
    /** Of a soft sock, of plastic, of paint (value from memory). */
    public static final double DULL = 0.9;
}
