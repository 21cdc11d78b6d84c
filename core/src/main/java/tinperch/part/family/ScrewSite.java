package tinperch.part.family;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.part.HolePattern;
import tinperch.part.Parameter;
import tinperch.part.PartInputs;
import tinperch.part.PartProblem;
import tinperch.part.ScrewStack;
import tinperch.part.SeatKind;
import tinperch.part.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.shape.Profiles;

/**
 * One place where a plate meets something with a hole pattern: where its holes are, what the screws are tightened into,
 * how deep. Depths count from the face the held thing lies on; {@code total} is all the printed material along the screw.
 */
final class ScrewSite {
    /** Play of a nut in its pocket across flats: 0.2…0.4 mm (common practice). */
    static final double NUT_PLAY_MM = 0.3;
    static final double NUT_DEPTH_PLAY_MM = 0.2;
    /** A hole is deeper than its insert by at least this (common practice). */
    static final double BELOW_INSERT_MM = 1;
    private static final double HEAD_PLAY_MM = 0.5;
    private static final int SIDES = 48;

    final String key;
    final String label;
    final HolePattern pattern;
    final SeatKind seat;
    final ScrewThread thread;
    final ScrewThread.Head head;
    final double standoffMm;
    final double bossMm;
    final double totalMm;
    final double recessMm;
    final Optional<HeatSetInsert> insert;
    private final Values values;
    private final double plateMm;
    private final boolean onTop;
    private final double holeOffsetMm;
    private final List<double[]> places = new ArrayList<>();

    /** @param onTop whether the held thing lies on the plate's upper side */
    ScrewSite(String key, String label, PartInputs in, double plateMm, boolean onTop) {
        this.key = key;
        this.label = label;
        this.values = in.values();
        this.plateMm = plateMm;
        this.onTop = onTop;
        this.holeOffsetMm = in.holeOffsetMm();
        pattern = in.pattern(key);
        HardwareTables hardware = in.hardware();
        thread = hardware.thread(values.choice(key + ".thread"));
        head = "button".equals(values.choice(key + ".head")) ? ScrewThread.Head.BUTTON : ScrewThread.Head.CAP;
        seat = SeatKind.labelled(values.choice(key + ".seat"));
        standoffMm = values.number(key + ".standoff");
        bossMm = values.number(key + ".boss");
        recessMm = values.number(key + ".recess");
        totalMm = plateMm + standoffMm;
        insert = seat == SeatKind.INSERT ? hardware.insert(thread.name(), values.number(key + ".insert")) : Optional.empty();
        if (seat == SeatKind.INSERT && insert.isEmpty()) {
            throw new PartProblem(key + ".seat", "No insert for " + thread.name()
                    + " is in the table; choose a nut or another thread.");
        }
        double turn = Math.toRadians(values.number(key + ".turn"));
        for (HolePattern.Hole h : pattern.holes()) {
            places.add(new double[] {
                values.number(key + ".x") + h.x() * Math.cos(turn) - h.y() * Math.sin(turn),
                values.number(key + ".y") + h.x() * Math.sin(turn) + h.y() * Math.cos(turn)});
        }
    }

    static List<Parameter> parameters(String key, String group, double startX, double startStandoff, SeatKind start) {
        List<String> seats = new ArrayList<>(SeatKind.LABELS);
        seats.remove(start.label());
        seats.add(0, start.label());
        return List.of(
                Parameter.number(key + ".x", group, "Pattern centre x", Unit.MM, -200, 200, startX,
                        "From the middle of the plate to the middle of the pattern"),
                Parameter.number(key + ".y", group, "Pattern centre y", Unit.MM, -200, 200, 0,
                        "From the middle of the plate to the middle of the pattern"),
                Parameter.number(key + ".turn", group, "Pattern turned", Unit.DEG, -180, 180, 0,
                        "Anticlockwise, seen from the tool side"),
                Parameter.choice(key + ".seat", group, "Screws go into", seats, "What the screws are tightened into"),
                Parameter.choice(key + ".thread", group, "Thread", List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8"),
                        "ISO metric coarse"),
                Parameter.choice(key + ".head", group, "Head", List.of("cap", "button"), "Form of the screw head"),
                Parameter.choice(key + ".fit", group, "Clearance", List.of("medium", "fine", "coarse"),
                        "Series of the clearance hole, ISO 273"),
                Parameter.number(key + ".length", group, "Screw length", Unit.MM, 3, 120, 16, "Without the head"),
                Parameter.number(key + ".held", group, "Held thing is", Unit.MM, 0, 60, 3,
                        "Thickness of what is screwed on"),
                Parameter.choice(key + ".washer", group, "Washer", List.of("under the head", "none"), "ISO 7089"),
                Parameter.number(key + ".standoff", group, "Standoff", Unit.MM, 0, 60, startStandoff,
                        "Height of the bosses the thing stands on; 0 lays it flat on the plate"),
                Parameter.number(key + ".boss", group, "Boss Ø", Unit.MM, 4, 40, 9.2, "Diameter of the bosses"),
                Parameter.number(key + ".insert", group, "Insert length", Unit.MM, 2, 15, 5.7,
                        "The nearest insert of the table is used"),
                Parameter.number(key + ".recess", group, "Recess", Unit.MM, 0, 40, 0,
                        "How far the nut or the head sinks in beyond its own height"));
    }

    List<double[]> places() {
        return places;
    }

    double clearanceMm() {
        ScrewThread.Fit fit = ScrewThread.Fit.valueOf(values.choice(key + ".fit").toUpperCase(java.util.Locale.ROOT));
        return thread.clearanceMm(fit) + holeOffsetMm;
    }

    double pocketDepthMm() {
        return thread.nutHeightMm() + NUT_DEPTH_PLAY_MM + recessMm;
    }

    double nutFlatsMm() {
        return thread.nutAcrossFlatsMm() + NUT_PLAY_MM;
    }

    double insertHoleDepthMm() {
        return insert.orElseThrow().lengthMm() + BELOW_INSERT_MM;
    }

    /** Widest cavity at the far side or at the insert, across corners, mm. */
    double cavityMm() {
        return switch (seat) {
            case INSERT -> insert.orElseThrow().holeMm() + holeOffsetMm;
            case CAPTIVE_NUT -> nutFlatsMm() / Math.cos(Math.PI / 6);
            case LOOSE_NUT -> recessMm > 0 ? thread.headDiameterMm(head) + HEAD_PLAY_MM : clearanceMm();
        };
    }

    /** Printed material between the cavity's floor and the other side, mm. */
    double underMm() {
        return switch (seat) {
            case INSERT -> totalMm - insertHoleDepthMm();
            case CAPTIVE_NUT -> totalMm - pocketDepthMm();
            case LOOSE_NUT -> totalMm - recessMm;
        };
    }

    /** Adds bosses to the body. */
    void addTo(List<Solid> body) {
        if (standoffMm <= 0) {
            return;
        }
        for (int i = 0; i < places.size(); i++) {
            double[] p = places.get(i);
            // The boss reaches into the plate so that both are one piece.
            double from = onTop ? plateMm / 2 : -standoffMm;
            double to = onTop ? plateMm + standoffMm : plateMm / 2;
            body.add(Leaf.extrusion(key + " boss " + pattern.holes().get(i).label(),
                    Profile.disc(p[0], p[1], bossMm, SIDES), Placement.HERE, from, to));
        }
    }

    /** The parameter behind a feature of a site, "tool boss A". */
    static String keyOf(String feature) {
        String site = feature.split(" ")[0];
        return site + (feature.contains("boss") ? ".boss" : feature.contains("insert") ? ".insert"
                : feature.contains("nut") || feature.contains("head") ? ".recess" : ".length");
    }

    /** What is screwed on, as a slab round its holes. */
    Leaf heldThing() {
        List<Profile> rims = places.stream().map(p -> Profile.disc(p[0], p[1], thread.washerOuterMm() + 4, 24)).toList();
        double top = plateMm + standoffMm;
        double thick = Math.max(0.2, values.number(key + ".held"));
        return onTop ? Leaf.extrusion(pattern.name(), Profiles.hull(rims), Placement.HERE, top, top + thick)
                : Leaf.extrusion(pattern.name(), Profiles.hull(rims), Placement.HERE, -standoffMm - thick, -standoffMm);
    }

    /** Adds holes and pockets to the cuts; {@code beyondMm} keeps the far side reachable for a driver. */
    void cutFrom(List<Solid> cuts, double beyondMm) {
        double beyond = beyondMm + 1;
        for (int i = 0; i < places.size(); i++) {
            String hole = pattern.holes().get(i).label();
            double[] p = places.get(i);
            if (seat == SeatKind.INSERT) {
                double depth = Math.min(insertHoleDepthMm(), totalMm + 1);
                cuts.add(round(key + " insert " + hole, p, cavityMm(), -1, depth));
                continue;
            }
            cuts.add(round(key + " hole " + hole, p, clearanceMm(), -1, totalMm + beyond));
            if (seat == SeatKind.CAPTIVE_NUT) {
                cuts.add(between(key + " nut pocket " + hole, Profile.hexagon(p[0], p[1], nutFlatsMm(), 0),
                        totalMm - pocketDepthMm(), totalMm + beyond));
            } else if (recessMm > 0) {
                cuts.add(round(key + " head " + hole, p, cavityMm(), totalMm - recessMm, totalMm + beyond));
            }
        }
    }

    private Leaf round(String feature, double[] p, double diameterMm, double from, double to) {
        return between(feature, Profile.hole(p[0], p[1], diameterMm, SIDES), from, to);
    }

    private Leaf between(String feature, Profile profile, double from, double to) {
        double top = plateMm + standoffMm;
        return onTop ? Leaf.extrusion(feature, profile, Placement.HERE, top - to, top - from)
                : Leaf.extrusion(feature, profile, Placement.HERE, from - standoffMm, to - standoffMm);
    }

    /** The screws with everything they pass through. */
    ScrewStack stack() {
        double washer = "none".equals(values.choice(key + ".washer")) ? 0 : thread.washerThicknessMm();
        double held = values.number(key + ".held");
        List<ScrewStack.Layer> layers = new ArrayList<>();
        if (washer > 0) {
            layers.add(new ScrewStack.Layer("washer", washer));
        }
        if (seat != SeatKind.LOOSE_NUT) {
            layers.add(new ScrewStack.Layer(pattern.name(), held));
        }
        double printed = seat == SeatKind.INSERT ? 0 : underMm();
        if (printed > 0) {
            layers.add(new ScrewStack.Layer(standoffMm > 0 ? "plate and standoff" : "plate", printed));
        }
        if (seat == SeatKind.LOOSE_NUT) {
            layers.add(new ScrewStack.Layer(pattern.name(), held));
        }
        double grip = layers.stream().mapToDouble(ScrewStack.Layer::thicknessMm).sum();
        double threadMm;
        double min;
        double max;
        if (seat == SeatKind.INSERT) {
            // Engagement at least one diameter in metal; the tip ends 0.5 mm before the bottom (common practice).
            threadMm = thread.diameterMm();
            min = grip + threadMm;
            max = grip + Math.min(insertHoleDepthMm(), totalMm) - 0.5;
        } else {
            // Through a nut: one pitch shows beyond it (common practice); more than 3 diameters is in somebody's way.
            threadMm = thread.nutHeightMm();
            min = grip + threadMm + thread.pitchMm();
            max = min + 3 * thread.diameterMm();
        }
        String wallKey = seat == SeatKind.INSERT ? key + ".held" : standoffMm > 0 ? key + ".standoff" : "plate.thickness";
        double wall = seat == SeatKind.INSERT ? held : standoffMm > 0 ? standoffMm : plateMm;
        // The wall may shrink until 2 mm are left under the nut or head.
        double wallMin = seat == SeatKind.INSERT ? held : Math.max(standoffMm > 0 ? 0.5 : 2, wall - (underMm() - 2));
        return new ScrewStack(key, label + " screws", thread, head, seat, values.number(key + ".length"), layers, threadMm,
                min, max, places.size(), key + ".length", seat == SeatKind.INSERT ? "" : wallKey, wall, wallMin, 1);
    }

    String describe(int i) {
        return label + " " + switch (seat) {
            case INSERT -> "insert ";
            case CAPTIVE_NUT -> "nut ";
            case LOOSE_NUT -> "hole ";
        } + pattern.holes().get(i).label();
    }

    /** Names the cavity's feature in the solid. */
    String feature(int i) {
        return key + switch (seat) {
            case INSERT -> " insert ";
            case CAPTIVE_NUT -> " nut pocket ";
            case LOOSE_NUT -> " hole ";
        } + pattern.holes().get(i).label();
    }

    /** Whether a hole at this site can be made at all inside a plate of the given half sizes. */
    void requireOnPlate(double halfWidthMm, double halfHeightMm) {
        for (int i = 0; i < places.size(); i++) {
            double[] p = places.get(i);
            double overX = Math.abs(p[0]) + cavityMm() / 2 - halfWidthMm;
            double overY = Math.abs(p[1]) + cavityMm() / 2 - halfHeightMm;
            if (overX > 0 || overY > 0) {
                boolean wide = overX >= overY;
                double needed = Math.ceil(2 * ((wide ? halfWidthMm : halfHeightMm) + Math.max(overX, overY) + 2));
                throw new PartProblem(wide ? "plate.width" : "plate.height", "The " + describe(i) + " reaches "
                        + Quantity.mm(Math.max(overX, overY)) + " beyond the plate's edge. Make the plate at least "
                        + Quantity.mm(needed) + (wide ? " wide" : " high") + ", or move the pattern.");
            }
        }
    }
}
