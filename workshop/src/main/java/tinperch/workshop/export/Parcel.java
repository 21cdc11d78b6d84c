package tinperch.workshop.export;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;

/**
 * What is written: the pieces of a part and what they are called.
 *
 * @param mark of the revision, "R5"
 * @param made what it is made of, to be drawn and listed; empty for a kept revision, which is only its meshes
 * @param picture its small picture, JPEG, made when it is asked for; empty for a revision kept by an earlier version, without
 */
public record Parcel(List<Item> items, PartDesign part, String upgradeName, String mark, Optional<Case> made, Supplier<Optional<byte[]>> picture) {
    public Parcel {
        items = List.copyOf(items);
    }

    /** Of a part as it stands. */
    public static Parcel of(Case c, List<Item> items, String mark) {
        return new Parcel(items, c.part(), c.upgrade().name(), mark, Optional.of(c), () -> Optional.of(Thumbnail.jpeg(items.stream().map(Item::printed).toList())));
    }

    /** "Blower carriage R5". */
    public String title() {
        return part.name() + " " + mark;
    }
}
