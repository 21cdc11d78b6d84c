package tinperch.desktop.desk;

/** The pages of a machine. */
public enum Page {
    SHEET("Sheet", "What it is, what is due on it, its upgrades, and what happened lately."),
    SURROUNDINGS("Surroundings", "How it moves and what stands near: places come from distances read face to face."),
    READINGS("Readings", "What was measured on it: hole patterns, plates, pushes, squareness."),
    MODELS("Models", "Files found elsewhere, checked against a few readings before they are believed."),
    BOOK("Book", "What is fitted and how it is set, day by day."),
    TEMPERATURES("Temperatures", "What was recorded of it, against what it must stay below; before against after.");

    private final String title;
    private final String why;

    Page(String title, String why) {
        this.title = title;
        this.why = why;
    }

    public String title() {
        return title;
    }

    /** What it is for, in a line. */
    public String why() {
        return why;
    }
}
