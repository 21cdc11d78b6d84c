package tinperch.machine.book;

/** What a component is; the names are those of {@code redo.csv}. */
public enum ComponentKind {
    DRIVE("Filament drive", "motor"), HOT_END("Hot end"), NOZZLE("Nozzle"), HEATER("Heater"), SENSOR("Temperature sensor"),
    SOCK("Insulating sock"), FAN("Fan", "fan"), PROBE("Probe"), MOUNT("Mount or carriage"), BELT("Belt"), GEAR("Gear or pulley"),
    WHEELS("Wheels or bearings", "bearing"), RAIL("Rail or rod", "rod"), PROFILE("Frame profile", "profile"), BED("Bed"), BOARD("Board", "board"),
    SUPPLY("Supply"), CONTACT("Contact or connector"), WIRE("Wire"), SWITCH("Limit switch"), FILTER("Filter", "filter"), OTHER("Other");

    private final String label;
    private final String thing;

    ComponentKind(String label) {
        this(label, "");
    }

    ComponentKind(String label, String thing) {
        this.label = label;
        this.thing = thing;
    }

    public String label() {
        return label;
    }

    /** Kind of usual thing it can be, by the name of the reading sheet; empty for what no part is made around. */
    public String thing() {
        return thing;
    }
}
