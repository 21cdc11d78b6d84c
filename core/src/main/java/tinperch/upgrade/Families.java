package tinperch.upgrade;

import java.util.List;
import java.util.Optional;
import tinperch.part.PartFamily;
import tinperch.part.family.FittedModel;
import tinperch.part.family.ToolCarriagePlate;

/** All part families; a new one is added here. */
public final class Families {
    public static final List<PartFamily> ALL = List.of(new ToolCarriagePlate(), new FittedModel());

    private Families() {}

    public static Optional<PartFamily> byId(String id) {
        return ALL.stream().filter(f -> f.id().equals(id)).findFirst();
    }
}
