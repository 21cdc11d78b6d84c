package tinperch.part.form;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tinperch.hardware.ScrewThread;

/** What has to be at hand to put a part together: screws with their washers, nuts and inserts. */
public final class PartsList {
    private PartsList() {}

    /**
     * One kind of thing.
     *
     * @param count how many of it
     */
    public record Row(int count, String what) {}

    /** All of it, in the order of its screws. */
    public static List<Row> of(PartForm form) {
        Map<String, Integer> all = new LinkedHashMap<>();
        for (Screw s : form.screws()) {
            String thread = s.thread().name();
            add(all, "screw " + s.name() + (s.head() == ScrewThread.Head.BUTTON ? ", button head (ISO 7380-1)" : ", cap head (ISO 4762)"));
            if (s.washer()) {
                add(all, "washer " + thread + " (ISO 7089)");
            }
            switch (s.end()) {
                case INSERT -> add(all, "heat-set insert " + s.insert().map(i -> i.name()).orElse(thread));
                case CAPTIVE_NUT, LOOSE_NUT -> add(all, "nut " + thread + " (ISO 4032)");
                case SLIM_NUT -> add(all, "thin nut " + thread + " (ISO 4035)");
                case TAPPED, CUT -> { }
            }
        }
        return all.entrySet().stream().map(e -> new Row(e.getValue(), e.getKey())).toList();
    }

    private static void add(Map<String, Integer> all, String what) {
        all.merge(what, 1, Integer::sum);
    }
}
