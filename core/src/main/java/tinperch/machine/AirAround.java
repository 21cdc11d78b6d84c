package tinperch.machine;


/** The air a machine's parts stand in. */
public final class AirAround {
    /** A heated room (common practice). */
    public static final double ROOM_C = 25;
    /** The setting that says how warm a closed machine gets inside. */
    public static final String CHAMBER = "temp.chamber";

    private AirAround() {}

    /** Its usual temperature, °C: what the book says of the chamber last, else a room's. */
    public static double tempC(Machine m) {
        return m.book().newest(CHAMBER).filter(c -> c > ROOM_C).orElse(ROOM_C);
    }

    /** Whether it is enclosed and nothing says how warm it gets inside. */
    public static boolean isUnknown(Machine m) {
        return m.enclosed() && m.book().newest(CHAMBER).isEmpty();
    }
}
