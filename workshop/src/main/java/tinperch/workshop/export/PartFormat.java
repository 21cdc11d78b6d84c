package tinperch.workshop.export;

import java.util.List;
import tinperch.files.SafeWrite;

/** A format parts are written in. */
public interface PartFormat {
    /** What a button calls it, "STL". */
    String name();

    /** How its files' names end, ".stl"; may begin with a word, " drill template.pdf". */
    String ending();

    /** What it is good for, in a sentence. */
    String why();

    /** Whether it is what printers are fed with, and so written when nothing else is asked for. */
    default boolean isForPrinting() {
        return false;
    }

    /** Whether it belongs into a folder that is given to somebody else, besides what printers are fed with. */
    default boolean isForSharing() {
        return false;
    }

    /** The files of a part; nothing is computed before one is written. */
    List<Output> files(Parcel parcel);

    /**
     * A file to write.
     *
     * @param piece whose it is; empty for one of the whole part
     */
    record Output(String piece, SafeWrite.Content content) {}

    /** One file for each piece. */
    static List<Output> each(Parcel parcel, java.util.function.Function<Item, SafeWrite.Content> content) {
        return parcel.items().stream().map(i -> new Output(i.name(), content.apply(i))).toList();
    }
}
