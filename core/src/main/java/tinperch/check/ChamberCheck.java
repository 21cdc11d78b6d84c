package tinperch.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.fact.Facts;
import tinperch.machine.AirAround;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/**
 * Does the material stand the air its machine keeps it in? What is in a warm box is as warm as the box after an hour; ten kelvin are to be left to what it stands: the use limit where something pulls on it
 * all the time, else the glass transition, as parts of PETG are known to stand a drying box of 70 °C (common practice).
 */
public final class ChamberCheck implements Check {
    private static final double SPARE_K = 10;

    /** What a material stands, °C: some are used above their glass transition anyway. */
    private static double standsC(Material m, boolean loaded) {
        return loaded ? m.useLimitC() : Math.max(m.useLimitC(), m.glassTransitionC());
    }

    @Override
    public String about() {
        return "surroundings' temperature";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        Optional<Material> m = Material.find(c.part().material());
        if (m.isEmpty()) {
            return List.of();
        }
        if (AirAround.isUnknown(c.machine())) {
            return List.of(Finding.of("chamber", Severity.CANT_TELL, "How warm " + c.machine().name() + " gets inside is not said", "It is enclosed. Say its usual chamber temperature in the book; " + m.get().name() + " stands "
                    + Quantity.show(m.get().useLimitC(), Unit.CELSIUS) + " loaded.").about(Subject.PRINTING).settledBy(Settle.By.BOOK, "", "say how warm it gets"));
        }
        double air = AirAround.tempC(c.machine());
        boolean loaded = c.part().loads().stream().anyMatch(l -> l.lasting() == Load.Lasting.STEADY);
        double stands = standsC(m.get(), loaded);
        double limit = stands - SPARE_K;
        if (air <= AirAround.ROOM_C) {
            return List.of();
        }
        Margin margin = new Margin(air, limit, Unit.CELSIUS, false);
        String why = m.get().name() + " stands " + Quantity.show(stands, Unit.CELSIUS) + (loaded ? " loaded" : " where nothing pulls on it") + " (value from memory), and " + Math.round(SPARE_K) + " K are to be left (common practice).";
        if (air <= limit) {
            return List.of(Finding.of("chamber", Severity.FINE, m.get().name() + " stands the air inside, " + Quantity.show(air, Unit.CELSIUS), why).measured(margin));
        }
        List<Remedy> others = OtherMaterials.of(c, o -> standsC(o, loaded) - SPARE_K >= air, Comparator.comparingDouble(Material::useLimitC), 2);
        return List.of(Finding.of("chamber", air > stands - SPARE_K / 2 ? Severity.STOP : Severity.LOOK, "It stands in air of " + Quantity.show(air, Unit.CELSIUS) + ", " + m.get().name() + (air > stands - SPARE_K / 2 ? " does not stand that" : " barely stands that"), why)
                .measured(margin).with(others));
    }
}
