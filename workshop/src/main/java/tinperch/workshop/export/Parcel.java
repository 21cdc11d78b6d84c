package tinperch.workshop.export;

import java.util.List;
import tinperch.upgrade.PartDesign;

/**
 * What is written: the pieces of a part and what they are called.
 *
 * @param mark of the revision, "R5"
 */
public record Parcel(List<Item> items, PartDesign part, String upgradeName, String mark) {
    public Parcel {
        items = List.copyOf(items);
    }

    /** "Blower carriage R5". */
    public String title() {
        return part.name() + " " + mark;
    }
}
