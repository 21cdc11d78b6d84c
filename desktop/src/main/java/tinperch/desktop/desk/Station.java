package tinperch.desktop.desk;

/** The stations of an upgrade, in working order. */
public enum Station {
    TROUBLE("Trouble", "Say what is wrong and what it measures now. The trial afterwards is compared with it."),
    MEASURE("Measure", "Read edges, not centres: outside to outside and inside to inside give both the distance and the hole."),
    SHAPE("Shape", "Build the part around what it holds. Every change is judged at once; the margins below stay in view."),
    DRY_FIT("Dry fit", "See it among its neighbours before any plastic is used: move the axes, play the homing, look at the heat, and settle what is tight."),
    PRINT("Print", "Choose where and in what it is printed, keep the revision with its reason, then write the file."),
    TRIAL("Trial", "Measure the same thing again, in the same way: it is set against what it was before."),
    VERDICT("Verdict", "Say how long each revision lived and what ended it. The next one starts from that reason.");

    private final String title;
    private final String why;

    Station(String title, String why) {
        this.title = title;
        this.why = why;
    }

    public String title() {
        return title;
    }

    /** Why this step, in one or two lines. */
    public String why() {
        return why;
    }
}
