package tinperch.fact;

import java.util.List;
import tinperch.part.form.Held;
import tinperch.part.form.Piece;

/** All solids of a form, as the key of what is measured on them. Equal when every piece and held thing is; its hash is reckoned once. */
public final class Solids {
    private final List<Piece> pieces;
    private final List<Held> held;
    private final int hash;

    Solids(List<Piece> pieces, List<Held> held) {
        this.pieces = List.copyOf(pieces);
        this.held = List.copyOf(held);
        hash = 31 * this.pieces.hashCode() + this.held.hashCode();
    }

    @Override
    public boolean equals(Object o) {
        return o == this || o instanceof Solids s && s.hash == hash && s.pieces.equals(pieces) && s.held.equals(held);
    }

    @Override
    public int hashCode() {
        return hash;
    }
}
