package tinperch.machine;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import tinperch.hardware.Fits;
import tinperch.machine.book.Book;
import tinperch.machine.model.Model;
import tinperch.machine.place.Places;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.NeighbourMesh;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.HolePattern;
import tinperch.measure.sheet.Sheet;
import tinperch.trial.Run;

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
 * @param buildMm size of the space it can reach, of which clips, wipers and loose edges leave {@code usableMm}
 * @param enclosed whether walls keep warmth and fumes in
 * @param inPiecesFor the upgrade it lies in pieces for, empty when none is named
 * @param models downloaded models, checked against readings or not yet
 * @param sheets what was measured on it beside its upgrades
 * @param fits what it adds to sizes other than holes
 * @param runs what was recorded on it, in the order it was taken in
 */
public record Machine(String id, String name, Kind kind, String summary, Space usableMm, double nozzleMm,
        boolean heatedBed, double supplyV, double holeOffsetMm, List<String> materials, State state, String stateNote, Book book,
        Surroundings surroundings, Space buildMm, boolean enclosed, String inPiecesFor, List<Sheet> sheets, List<Model> models, Fits fits, List<Run> runs) {
    public Machine {
        // A machine written by hand may have no more than an id and a name.
        kind = kind == null ? Kind.OTHER : kind;
        summary = summary == null ? "" : summary;
        usableMm = usableMm == null ? new Space(0, 0, 0) : usableMm;
        state = state == null ? State.FIT : state;
        stateNote = stateNote == null ? "" : stateNote;
        materials = materials == null ? List.of() : List.copyOf(materials);
        // Machines kept by an earlier version lack what came later.
        book = book == null ? Book.EMPTY : book;
        surroundings = surroundings == null ? Surroundings.NONE : surroundings;
        buildMm = buildMm == null ? usableMm : buildMm;
        inPiecesFor = inPiecesFor == null ? "" : inPiecesFor;
        sheets = sheets == null ? List.of() : List.copyOf(sheets);
        models = models == null ? List.of() : List.copyOf(models);
        fits = fits == null ? Fits.USUAL : fits;
        runs = runs == null ? List.of() : List.copyOf(runs);
    }

    /** A machine whose surroundings are not known yet; all of its space is taken for usable, a cube for enclosed. */
    public Machine(String id, String name, Kind kind, String summary, Space usableMm, double nozzleMm, boolean heatedBed,
            double supplyV, double holeOffsetMm, List<String> materials, State state, String stateNote, Book book) {
        this(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, state, stateNote, book,
                Surroundings.NONE, usableMm, kind == Kind.CUBE, "", List.of(), List.of(), Fits.USUAL, List.of());
    }

    /** A box-shaped space, mm. */
    public record Space(double x, double y, double z) {}

    /** How the machine is built. */
    public enum Kind {
        MOVING_BED("Moving-bed gantry"), CANTILEVER("Cantilever"), CUBE("Enclosed cube"), WIRE_CUTTER("Hot-wire cutter"),
        LASER("Laser cutter"), OTHER("Other machine");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        /** Whether machines of this kind lay down material at all. */
        public boolean mayPrint() {
            return this != WIRE_CUTTER && this != LASER;
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

    /** Whether it lays down material: it has a nozzle and is of a kind that may. */
    public boolean prints() {
        return nozzleMm > 0 && kind.mayPrint();
    }

    /** The same machine under another id: where a shared one meets another of the same. */
    public Machine withId(String next) {
        return new Machine(next, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, state, stateNote, book,
                surroundings, buildMm, enclosed, inPiecesFor, sheets, models, fits, runs);
    }

    /** Under another name. */
    public Machine withName(String next) {
        return with(d -> d.name = next);
    }

    /** Of another kind. */
    public Machine withKind(Kind next) {
        return with(d -> d.kind = next);
    }

    /** With another line about it. */
    public Machine withSummary(String next) {
        return with(d -> d.summary = next);
    }

    /** With another space a print may take, mm. */
    public Machine withUsable(Space next) {
        return with(d -> d.usableMm = next);
    }

    /** With another space it can reach, mm. */
    public Machine withBuild(Space next) {
        return with(d -> d.buildMm = next);
    }

    /** With another nozzle bore, mm; 0 for a machine that does not print. */
    public Machine withNozzle(double next) {
        return with(d -> d.nozzleMm = next);
    }

    /** With its bed heated or not. */
    public Machine withHeatedBed(boolean next) {
        return with(d -> d.heatedBed = next);
    }

    /** With walls around it or not. */
    public Machine withEnclosed(boolean next) {
        return with(d -> d.enclosed = next);
    }

    /** With another supply voltage, V. */
    public Machine withSupplyV(double next) {
        return with(d -> d.supplyV = next);
    }

    /** With another number added to hole diameters printed on it, mm. */
    public Machine withHoleOffset(double next) {
        return with(d -> d.holeOffsetMm = next);
    }

    /** With other things it adds to sizes. */
    public Machine withFits(Fits next) {
        return with(d -> d.fits = next);
    }

    /** With other materials it may print, by their names. */
    public Machine withMaterials(List<String> next) {
        return with(d -> d.materials = next);
    }

    /** In another state; what it was in pieces for is forgotten with the pieces. */
    public Machine withState(State next, String note) {
        return with(d -> {
            d.state = next;
            d.stateNote = note;
            d.inPiecesFor = next == State.IN_PIECES ? d.inPiecesFor : "";
        });
    }

    /** In pieces for an upgrade; for none when its id is empty. */
    public Machine inPiecesFor(String upgradeId) {
        return with(d -> {
            d.state = State.IN_PIECES;
            d.inPiecesFor = upgradeId;
        });
    }

    /** With another book. */
    public Machine withBook(Book next) {
        return with(d -> d.book = next);
    }

    /** With other surroundings: what was read face to face places the neighbours. */
    public Machine withSurroundings(Surroundings next) {
        Surroundings settled = next.distances().isEmpty() ? next : places(next).settled();
        return with(d -> d.surroundings = settled);
    }

    /** Where its neighbours are and how that is known. */
    public Places places() {
        return places(surroundings);
    }

    private Places places(Surroundings of) {
        return Places.of(of, (n, hole) -> sheet(n.of()).flatMap(HolePattern::of).flatMap(p -> NeighbourMesh.hole(n, p, hole)));
    }

    /** A reading sheet by its id; empty when there is none of it. */
    public Optional<Sheet> sheet(String sheetId) {
        return sheets.stream().filter(s -> s.id().equals(sheetId)).findFirst();
    }

    /** With a sheet put in, or changed when its id is known. */
    public Machine with(Sheet sheet) {
        List<Sheet> next = new ArrayList<>(sheets);
        int at = sheets.stream().map(Sheet::id).toList().indexOf(sheet.id());
        if (at >= 0) {
            next.set(at, sheet);
        } else {
            next.add(sheet);
        }
        // Holes that distances were read to may have moved.
        return with(d -> d.sheets = next).withSurroundings(surroundings);
    }

    /** Without a reading sheet. */
    public Machine withoutSheet(String sheetId) {
        return with(d -> d.sheets = sheets.stream().filter(s -> !s.id().equals(sheetId)).toList());
    }

    /** A downloaded model by its id; empty when there is none of it. */
    public Optional<Model> model(String modelId) {
        return models.stream().filter(m -> m.id().equals(modelId)).findFirst();
    }

    /** With a downloaded model put in, or changed when its id is known. */
    public Machine with(Model model) {
        List<Model> next = new ArrayList<>(models);
        int at = models.stream().map(Model::id).toList().indexOf(model.id());
        if (at >= 0) {
            next.set(at, model);
        } else {
            next.add(model);
        }
        return with(d -> d.models = next);
    }

    /** With a model's file read in another unit; neighbours made of it grow or shrink where they stand. */
    public Machine rescaled(String modelId, double scale) {
        Model next = model(modelId).orElseThrow().scaled(scale);
        return with(next).withSurroundings(surroundings.withPlaced(surroundings.neighbours().stream().map(n -> n.form() == Neighbour.Form.MODEL && n.of().equals(modelId)
                        ? n.sized(NeighbourMesh.laidDown(next.sizeMm(), n.direction(), n.turnDeg())) : n).toList()));
    }

    /** The bores of its nozzles on a day, mm: by the names of the loadouts that have one of their own, else the machine's under no name. */
    public Map<String, Double> boresMm(LocalDate day) {
        Map<String, Double> bores = new LinkedHashMap<>();
        book.loadouts().forEach(l -> book.at(day, l.id()).value("nozzle.bore").ifPresent(mm -> bores.put(l.name(), mm)));
        return bores.isEmpty() ? Map.of("", nozzleMm) : bores;
    }

    /** Neighbours made of a model, or with holes read on a sheet. */
    public List<Neighbour> neighboursOf(String modelOrSheetId) {
        return surroundings.neighbours().stream().filter(n -> n.of().equals(modelOrSheetId)).toList();
    }

    /** Without a downloaded model. */
    public Machine withoutModel(String modelId) {
        return with(d -> d.models = models.stream().filter(m -> !m.id().equals(modelId)).toList());
    }

    /** A run by its id; empty when there is none of it. */
    public Optional<Run> run(String runId) {
        return runs.stream().filter(r -> r.id().equals(runId)).findFirst();
    }

    /** With a run put in, or changed when its id is known. */
    public Machine with(Run run) {
        List<Run> next = new ArrayList<>(runs);
        int at = runs.stream().map(Run::id).toList().indexOf(run.id());
        if (at >= 0) {
            next.set(at, run);
        } else {
            next.add(run);
        }
        return with(d -> d.runs = next);
    }

    /** Without a run. */
    public Machine withoutRun(String runId) {
        return with(d -> d.runs = runs.stream().filter(r -> !r.id().equals(runId)).toList());
    }

    private Machine with(Consumer<Draft> change) {
        Draft d = new Draft(this);
        change.accept(d);
        return d.machine();
    }

    /** The same values, open to change for a moment. */
    private static final class Draft {
        private final String id;
        private String name;
        private Kind kind;
        private String summary;
        private Space usableMm;
        private double nozzleMm;
        private boolean heatedBed;
        private double supplyV;
        private double holeOffsetMm;
        private List<String> materials;
        private State state;
        private String stateNote;
        private Book book;
        private Surroundings surroundings;
        private Space buildMm;
        private boolean enclosed;
        private String inPiecesFor;
        private List<Sheet> sheets;
        private List<Model> models;
        private Fits fits;
        private List<Run> runs;

        Draft(Machine m) {
            id = m.id;
            name = m.name;
            kind = m.kind;
            summary = m.summary;
            usableMm = m.usableMm;
            nozzleMm = m.nozzleMm;
            heatedBed = m.heatedBed;
            supplyV = m.supplyV;
            holeOffsetMm = m.holeOffsetMm;
            materials = m.materials;
            state = m.state;
            stateNote = m.stateNote;
            book = m.book;
            surroundings = m.surroundings;
            buildMm = m.buildMm;
            enclosed = m.enclosed;
            inPiecesFor = m.inPiecesFor;
            sheets = m.sheets;
            models = m.models;
            fits = m.fits;
            runs = m.runs;
        }

        Machine machine() {
            return new Machine(id, name, kind, summary, usableMm, nozzleMm, heatedBed, supplyV, holeOffsetMm, materials, state,
                    stateNote, book, surroundings, buildMm, enclosed, inPiecesFor, sheets, models, fits, runs);
        }
    }
}
