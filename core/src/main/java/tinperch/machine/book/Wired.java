package tinperch.machine.book;

/**
 * How a component gets its current.
 *
 * @param from the component it hangs on: an output of a board, a contact, a supply; empty when nobody has said
 * @param lengthMm of its cable, one way, mm; 0 when nobody has said
 * @param areaMm2 copper of one of its wires, mm²; 0 when nobody has said
 */
public record Wired(String from, double lengthMm, double areaMm2) {
    public static final Wired UNKNOWN = new Wired("", 0, 0);

    public Wired {
        from = from == null ? "" : from;
        // Files written by hand may hold any number.
        lengthMm = lengthMm > 0 && lengthMm < 1e6 ? lengthMm : 0;
        areaMm2 = areaMm2 > 0 && areaMm2 < 1e4 ? areaMm2 : 0;
    }

    public Wired hangingOn(String id) {
        return new Wired(id, lengthMm, areaMm2);
    }

    public Wired by(double nextLengthMm, double nextAreaMm2) {
        return new Wired(from, nextLengthMm, nextAreaMm2);
    }
}
