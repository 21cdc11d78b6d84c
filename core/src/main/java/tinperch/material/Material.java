package tinperch.material;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/**
 * A printing material (values from memory, editable in the table).
 *
 * @param name short name, "PETG"
 * @param densityGcm3 g/cm³
 * @param glassTransitionC glass transition, °C; where amorphous plastics soften, while PA12 and TPU are used above it
 * @param useLimitC continuous and loaded, °C
 * @param modulusGPa printed
 * @param strengthMPa printed, in the layer plane; {@code acrossLayersMPa} across it
 * @param shrinkPercent linear
 * @param dryAtC drying temperature, °C
 * @param conductivityWmK thermal, W/mK
 * @param fumes whether printing it calls for ventilation
 * @param needsHeatedBed whether it holds only on a heated bed (common practice)
 * @param nozzleC usual nozzle temperature, °C
 * @param bedC usual bed temperature, °C
 * @param snapStrainPercent what a snap of it stands again and again, %
 * @param steadyPercent of its strength it bears all the time, %: it creeps (common practice)
 */
public record Material(String name, double densityGcm3, double glassTransitionC, double useLimitC, double modulusGPa,
        double strengthMPa, double acrossLayersMPa, double shrinkPercent, double dryAtC, double conductivityWmK,
        boolean fumes, boolean needsHeatedBed, double nozzleC, double bedC,
        double snapStrainPercent, double steadyPercent) {

    /** The materials that ship with the application. */
    public static final List<Material> STANDARD = Table.read(Material.class, "materials.csv", Material.class);

    /** The material of a name; empty when the table has none. */
    public static Optional<Material> find(String name) {
        return STANDARD.stream().filter(m -> m.name().equals(name)).findFirst();
    }

    /** @throws IllegalArgumentException when the table has no such material */
    public static Material named(String name) {
        return find(name).orElseThrow(() -> new IllegalArgumentException("No material " + name + " in the table."));
    }
}
