package tinperch.solid;

import java.util.List;

/** A solid as a tree: leaves joined by union, difference and intersection. Nothing is computed until it is evaluated. */
public sealed interface Solid permits Leaf, Solid.Union, Solid.Difference, Solid.Intersection {

    /** All points in any of the parts. */
    record Union(List<Solid> parts) implements Solid {
        public Union {
            parts = List.copyOf(parts);
        }
    }

    /** The points of {@code body} that are in none of the cuts. */
    record Difference(Solid body, List<Solid> cuts) implements Solid {
        public Difference {
            cuts = List.copyOf(cuts);
        }
    }

    /** The points common to all parts. */
    record Intersection(List<Solid> parts) implements Solid {
        public Intersection {
            parts = List.copyOf(parts);
        }
    }

    static Solid union(Solid... parts) {
        return new Union(List.of(parts));
    }

    default Solid minus(Solid... cuts) {
        return new Difference(this, List.of(cuts));
    }

    static Solid intersection(Solid... parts) {
        return new Intersection(List.of(parts));
    }
}
