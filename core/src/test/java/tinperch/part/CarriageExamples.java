package tinperch.part;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import tinperch.hardware.HardwareTables;
import tinperch.part.family.ToolCarriagePlate;

/** A plate with a 40 × 30 pattern on the machine side and a 30 × 30 one on the tool side, for many tests. */
public final class CarriageExamples {
    public static final PartFamily FAMILY = new ToolCarriagePlate();

    private CarriageExamples() {}

    public static HolePattern rectangle(String name, double w, double h) {
        return new HolePattern(name, List.of(new HolePattern.Hole("A", -w / 2, -h / 2), new HolePattern.Hole("B", w / 2, -h / 2),
                new HolePattern.Hole("C", w / 2, h / 2), new HolePattern.Hole("D", -w / 2, h / 2)));
    }

    /** Plate 80 × 70 × 8, no rounding, no mark; patterns turned so that no two holes are near each other. */
    public static Values values() {
        return FAMILY.start().with("plate.width", 80).with("plate.height", 70).with("plate.thickness", 8)
                .with("plate.corner", 0).with("mark.height", 0).with("mount.held", 3).with("mount.length", 16);
    }

    public static PartForm form(Values values) {
        return form(values, "", 0);
    }

    public static PartForm form(Values values, String mark, double holeOffsetMm) {
        Map<String, HolePattern> patterns = new HashMap<>();
        patterns.put("mount", rectangle("wheel plate", 60, 50));
        patterns.put("tool", rectangle("blower", 32, 32));
        return FAMILY.form(new PartInputs(values, patterns, HardwareTables.STANDARD, holeOffsetMm, mark));
    }
}
