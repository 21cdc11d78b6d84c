package tinperch.measure;

/** The six pairs among four holes named A (lower left), B (lower right), C (upper right), D (upper left). */
public enum HolePair {
    AB(0, 1, "bottom"), DC(3, 2, "top"), AD(0, 3, "left"), BC(1, 2, "right"), AC(0, 2, "diagonal"), BD(1, 3, "diagonal");

    private final int first;
    private final int second;
    private final String side;

    HolePair(int first, int second, String side) {
        this.first = first;
        this.second = second;
        this.side = side;
    }

    /** Number of the first hole, 0 for A. */
    public int first() {
        return first;
    }

    /** Number of the second hole, 0 for A. */
    public int second() {
        return second;
    }

    /** "A–B bottom". */
    public String label() {
        return name().charAt(0) + "–" + name().charAt(1) + " " + side;
    }

    /** Whether it runs across the pattern. */
    public boolean isDiagonal() {
        return this == AC || this == BD;
    }
}
