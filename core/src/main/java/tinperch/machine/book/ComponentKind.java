package tinperch.machine.book;

import java.util.List;

/** What a component is; the names are those of {@code redo.csv}. */
public enum ComponentKind {
    DRIVE("Filament drive", "motor"), HOT_END("Hot end"), NOZZLE("Nozzle"), HEATER("Heater"), SENSOR("Temperature sensor"),
    SOCK("Insulating sock"), FAN("Fan", "fan", "blower"), PROBE("Probe"), MOUNT("Mount or carriage"), BELT("Belt"), GEAR("Gear or pulley"),
    WHEELS("Wheels or bearings", "bearing"), RAIL("Rail or rod", "rod"), PROFILE("Frame profile", "profile"), BED("Bed"), BOARD("Board", "board"),
    SUPPLY("Supply"), OUTPUT("Output of a board"), CONTACT("Contact or connector"), WIRE("Wire"), SWITCH("Limit switch"), FILTER("Filter", "filter"), OTHER("Other");

    private final String label;
    private final List<String> things;

    ComponentKind(String label, String... things) {
        this.label = label;
        this.things = List.of(things);
    }

    public String label() {
        return label;
    }

    /** Whether others hang on it for their current. */
    public boolean gives() {
        return this == OUTPUT || this == CONTACT || this == SUPPLY;
    }

    /** Whether current of others goes through it. */
    public boolean passesOn() {
        return gives() || this == BOARD;
    }

    /** Whether it draws current itself. */
    public boolean draws() {
        return this == DRIVE || this == HEATER || this == FAN || this == PROBE || this == BED || this == BOARD || this == OTHER;
    }

    /** Kinds of usual thing it can be, by the names of the reading sheets; none for what no part is made around. */
    public List<String> things() {
        return things;
    }
}
