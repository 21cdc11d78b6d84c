package tinperch.part;

/** What kinds of part do for a machine. */
public enum Does {
    CARRIES("Carries a tool or a board"), MOVES_AIR("Leads air"), HOLDS("Holds, braces, guides"), OTHERS("Somebody else's model");

    private final String label;

    Does(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
