package tinperch.machine;

import java.util.List;
import tinperch.machine.book.Book;
import tinperch.machine.space.Surroundings;

/**
 * A machine of the workshop.
 *
 * @param usableMm size of the space a print may take, x, y, z in mm; zero for a machine that does not print
 * @param nozzleMm nozzle bore, 0 for a machine that does not print
 * @param supplyV supply voltage, V
 * @param holeOffsetMm what must be added to a hole's nominal diameter so that it comes out right on this machine
 * @param materials names of the materials it may print
 * @param stateNote why it is in that state, one line
 * @param book what was fitted, set and redone when
 * @param surroundings its axes and what stands around them
 */
public record Machine(String id, String name, Kind kind, String summary, Space usableMm, double nozzleMm,
        boolean heatedBed, double supplyV, double holeOffsetMm, List<String> materials, State state, String stateNote, Book book,
        Surroundings surroundings) {
    public Machine {
        materials = List.copyOf(materials);
        // Machines kept before there were books have none.
        book = book == null ? Book.EMPTY : book;
        surroundings = surroundings == null ? Surroundings.NONE : surroundings;
    }

    /** A machine whose surroundings are not known yet. */
    public Machine(String id, String name, Kind kind, String summary, Space usableMm, double nozzleMm, boolean heatedBed,
            double supplyV, double holeOffsetMm, List<String> materials, State state, String stateNote, Book book) {
        this(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, state, stateNote, book,
                Surroundings.NONE);
    }

    /** A box-shaped space, mm. */
    public record Space(double x, double y, double z) {}

    /** How the machine is built. */
    public enum Kind {
        MOVING_BED("Moving-bed gantry"), CANTILEVER("Cantilever"), CUBE("Enclosed cube"), WIRE_CUTTER("Hot-wire cutter");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** Whether it can be used today. */
    public enum State {
        FIT("Fit"), IN_PIECES("In pieces"), WAITING("Waiting"), RETIRED("Retired");

        private final String label;

        State(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public boolean prints() {
        return nozzleMm > 0;
    }

    public Machine withName(String next) {
        return new Machine(id, next, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm,
                materials, state, stateNote, book, surroundings);
    }

    public Machine withKind(Kind next) {
        return new Machine(id, name, next, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm,
                materials, state, stateNote, book, surroundings);
    }

    public Machine withSummary(String next) {
        return new Machine(id, name, kind, next, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm,
                materials, state, stateNote, book, surroundings);
    }

    public Machine withUsable(Space next) {
        return new Machine(id, name, kind, summary, next, nozzleMm, heatedBed, supplyV, holeOffsetMm,
                materials, state, stateNote, book, surroundings);
    }

    public Machine withNozzle(double next) {
        return new Machine(id, name, kind, summary, usableMm, next, heatedBed, supplyV, holeOffsetMm,
                materials, state, stateNote, book, surroundings);
    }

    public Machine withHeatedBed(boolean next) {
        return new Machine(id, name, kind, summary, usableMm, nozzleMm, next, supplyV, holeOffsetMm,
                materials, state, stateNote, book, surroundings);
    }

    public Machine withHoleOffset(double next) {
        return new Machine(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, next, materials, state, stateNote, book, surroundings);
    }

    public Machine withMaterials(List<String> next) {
        return new Machine(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, next, state, stateNote, book, surroundings);
    }

    public Machine withState(State next, String note) {
        return new Machine(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, next,
                note, book, surroundings);
    }

    public Machine withBook(Book next) {
        return new Machine(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, state,
                stateNote, next, surroundings);
    }

    public Machine withSurroundings(Surroundings next) {
        return new Machine(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, state,
                stateNote, book, next);
    }
}
