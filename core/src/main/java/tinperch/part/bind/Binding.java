package tinperch.part.bind;

/** Where a role of a part gets its sizes from. */
public sealed interface Binding {
    /** A usual size: a start, not measured. */
    record Usual(String usualId) implements Binding {}

    /**
     * A reading sheet of the machine.
     *
     * @param usualId what stands in for cells not read yet; may be empty
     */
    record OnSheet(String sheetId, String usualId) implements Binding {
        public OnSheet {
            usualId = usualId == null ? "" : usualId;
        }
    }

    /** The holes of a site of the machine. */
    record AtSite(String siteId) implements Binding {}

    /** A downloaded model kept with the machine. */
    record OfModel(String modelId) implements Binding {}

    /** A neighbour in the machine's surroundings: a rod, a profile. */
    record OfNeighbour(String neighbourId) implements Binding {}

    /** A component fitted to the machine, by its book: a fan, a board, a motor. */
    record OfComponent(String componentId) implements Binding {}

    /** What another part of the same upgrade offers. */
    record OfPort(String partId, String portId) implements Binding {}
}
