package tinperch.part.bind;

import java.util.List;
import java.util.function.Function;
import tinperch.catalogue.UsualThing;

/**
 * A kind of reference and how it is made.
 *
 * @param <R> the reference
 * @param sheetKinds kinds of reading sheet it can be made of
 * @param maker makes it of sizes
 */
public record RefKind<R extends Ref>(Class<R> type, List<String> sheetKinds, Function<Sizes, R> maker) {
    public RefKind {
        sheetKinds = List.copyOf(sheetKinds);
    }

    /** The usual things it can begin with. */
    public List<UsualThing> usual() {
        return UsualThing.ofKinds(sheetKinds);
    }
}
