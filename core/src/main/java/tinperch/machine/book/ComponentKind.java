package tinperch.machine.book;

/** What a component is; the names are those of {@code redo.csv}. */
public enum ComponentKind {
    DRIVE("Filament drive"), HOT_END("Hot end"), NOZZLE("Nozzle"), HEATER("Heater"), SENSOR("Temperature sensor"),
    SOCK("Insulating sock"), FAN("Fan"), PROBE("Probe"), MOUNT("Mount or carriage"), BELT("Belt"), GEAR("Gear or pulley"),
    WHEELS("Wheels or bearings"), RAIL("Rail or rod"), PROFILE("Frame profile"), BED("Bed"), BOARD("Board"),
    SUPPLY("Supply"), CONTACT("Contact or connector"), WIRE("Wire"), SWITCH("Limit switch"), FILTER("Filter"), OTHER("Other");

    private final String label;

    ComponentKind(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
