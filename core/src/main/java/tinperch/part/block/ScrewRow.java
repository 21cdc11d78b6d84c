package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.hardware.HeatSetInsert;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.form.Cavity;
import tinperch.part.form.Held;
import tinperch.part.form.Reach;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.PartProblem;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Profiles;

/**
 * A row of screws on a plate that lies from z = 0 up to its thickness: bosses, holes, pockets, the screws themselves, what is held.
 * Depths along the screws count from the face the held thing lies on.
 */
public final class ScrewRow {
    /** Play of a nut in its pocket across flats beside what the printer needs: 0.2…0.4 mm together (common practice). */
    public static final double NUT_PLAY_MM = 0.1;
    public static final double NUT_DEPTH_PLAY_MM = 0.2;
    /** A hole is deeper than its insert by at least this (common practice). */
    static final double BELOW_INSERT_MM = 1;
    /** Round a head, beside the printer's running fit (common practice). */
    public static final double ROUND_HEAD_MM = 0.3;
    /** How far cutters stand out beyond the faces they cut. */
    private static final double BEYOND_MM = 1;
    /** Free before a screw's tip, and plastic behind that (common practice). */
    private static final double BEYOND_TIP_MM = 1;
    private static final double BEHIND_TIP_MM = 0.8;
    private static final int SIDES = 48;

    private final ScrewBlock block;
    private final PartInputs in;
    private final HolesRef holes;
    private final String pieceId;
    private final double plateMm;
    private final NumberParam plate;
    private final boolean onTop;
    private final SeatKind seat;
    private final ScrewThread thread;
    private final ScrewThread.Head head;
    private final double standoffMm;
    private final double bossMm;
    private final double recessMm;
    private final double totalMm;
    private final double slotMm;
    private final Optional<HeatSetInsert> insert;
    private final List<double[]> places = new ArrayList<>();

    /**
     * @param plate parameter of the plate's thickness
     * @param onTop whether the held thing lies on the plate's upper side
     */
    public ScrewRow(ScrewBlock block, PartInputs in, HolesRef holes, String pieceId, NumberParam plate, boolean onTop) {
        this.block = block;
        this.in = in;
        this.holes = holes;
        this.pieceId = pieceId;
        this.plate = plate;
        this.onTop = onTop;
        plateMm = in.get(plate);
        seat = in.get(block.seat);
        thread = in.hardware().thread(in.get(block.thread));
        head = in.get(block.head);
        standoffMm = in.get(block.standoff);
        bossMm = in.get(block.boss);
        recessMm = in.get(block.recess);
        totalMm = plateMm + standoffMm;
        slotMm = seat == SeatKind.LOOSE_NUT || seat == SeatKind.TAPPED ? in.get(block.slot) : 0;
        insert = seat == SeatKind.INSERT ? in.hardware().insert(thread.name(), in.get(block.insert)) : Optional.empty();
        if (seat == SeatKind.INSERT && insert.isEmpty()) {
            throw new PartProblem(block.seat, "No insert for " + thread.name() + " is in the table; choose a nut or another thread.");
        }
        double turn = Math.toRadians(in.get(block.turn));
        for (HolesRef.Hole h : holes.holes()) {
            places.add(new double[] {in.get(block.x) + h.xMm() * Math.cos(turn) - h.yMm() * Math.sin(turn),
                in.get(block.y) + h.xMm() * Math.sin(turn) + h.yMm() * Math.cos(turn)});
        }
    }

    /** Middles of its holes about the plate's middle, x and y, mm. */
    public List<double[]> places() {
        return List.copyOf(places);
    }

    /** How far its holes are drawn out along y, mm. */
    public double slotMm() {
        return slotMm;
    }

    public double standoffMm() {
        return standoffMm;
    }

    public double bossMm() {
        return bossMm;
    }

    /** Radius of the widest thing it cuts, mm. */
    public double cutRadiusMm() {
        return switch (seat) {
            case INSERT -> insertHoleMm() / 2;
            case CUT -> coreMm() / 2;
            case CAPTIVE_NUT, SLIM_NUT -> nutFlatsMm() / 2 / Math.cos(Math.PI / 6);
            case LOOSE_NUT, TAPPED -> (recessMm > 0 ? headHoleMm() : clearanceMm()) / 2;
        };
    }

    private double clearanceMm() {
        return thread.clearanceMm(in.get(block.fit)) + in.holeOffsetMm();
    }

    private double insertHoleMm() {
        return insert.orElseThrow().holeMm() + in.holeOffsetMm();
    }

    /** Of a hole a thread is cut into: the tap drill's. */
    private double coreMm() {
        return thread.tapDrillMm() + in.holeOffsetMm();
    }

    /** As deep as its screw goes and half a millimetre more than has to be free before its tip; right through where too little would be left behind it. */
    private double coreDepthMm() {
        double deep = Math.max(thread.diameterMm(), in.get(block.length) - (in.get(block.washer) ? thread.washerThicknessMm() : 0) - in.get(block.held) + BEYOND_TIP_MM);
        return deep > totalMm - BEHIND_TIP_MM ? totalMm : deep;
    }

    private double insertDepthMm() {
        return Math.min(insert.orElseThrow().lengthMm() + BELOW_INSERT_MM, totalMm + BEYOND_MM);
    }

    private double nutFlatsMm() {
        return thread.nutAcrossFlatsMm() + NUT_PLAY_MM + in.fits().slotMm();
    }

    private double pocketMm() {
        return seat.nutMm(thread) + NUT_DEPTH_PLAY_MM + recessMm;
    }

    /** The head's pocket lets its washer in too. */
    private double headHoleMm() {
        return thread.headDiameterMm(head) + ROUND_HEAD_MM + in.fits().runningMm() + in.holeOffsetMm();
    }

    private String name(String what, int i) {
        return block.id + " " + what + " " + holes.holes().get(i).label();
    }

    /** Bosses, joined to the plate's middle so that both are one piece. */
    public List<Solid> bosses() {
        List<Solid> all = new ArrayList<>();
        for (int i = 0; i < places.size() && standoffMm > 0; i++) {
            double[] p = places.get(i);
            all.add(Leaf.extrusion(name("boss", i), Profile.disc(p[0], p[1], bossMm, SIDES), Placement.HERE, onTop ? plateMm / 2 : -standoffMm,
                    onTop ? plateMm + standoffMm : plateMm / 2));
        }
        return all;
    }

    /** Frame of a hole: origin on the face the held thing lies on, z into the plastic. */
    private Placement inward(int i) {
        double[] p = places.get(i);
        return onTop ? new Placement(new Vec3(p[0], p[1], plateMm + standoffMm), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1))
                : Placement.at(p[0], p[1], -standoffMm);
    }

    /** The same from the far side. */
    private Placement outward(int i) {
        double[] p = places.get(i);
        return onTop ? Placement.at(p[0], p[1], 0) : new Placement(new Vec3(p[0], p[1], plateMm), Vec3.X, Vec3.Y.times(-1), Vec3.Z.times(-1));
    }

    /**
     * Holes and pockets.
     *
     * @param beyondMm how far something stands out on the far side: cutters go through it, so that a driver gets there
     */
    public List<Solid> cuts(double beyondMm) {
        List<Solid> all = new ArrayList<>();
        double through = totalMm + beyondMm + BEYOND_MM;
        for (int i = 0; i < places.size(); i++) {
            if (seat == SeatKind.INSERT) {
                all.add(round(name("insert", i), i, insertHoleMm(), -BEYOND_MM, insertDepthMm()));
                continue;
            }
            if (seat == SeatKind.CUT) {
                all.add(round(name("thread", i), i, coreMm(), -BEYOND_MM, coreDepthMm() < totalMm ? coreDepthMm() : through));
                continue;
            }
            all.add(round(name("hole", i), i, clearanceMm(), -BEYOND_MM, through));
            if (seat.isCaptive()) {
                all.add(Leaf.extrusion(name("nut pocket", i), Profile.hexagon(0, 0, nutFlatsMm(), 0), inward(i), totalMm - pocketMm(), through));
            } else if (recessMm > 0) {
                all.add(round(name("head", i), i, headHoleMm(), totalMm - recessMm, through));
            }
        }
        return all;
    }

    private Leaf round(String feature, int i, double diameterMm, double from, double to) {
        Placement a = inward(i);
        // A slot runs along its own x, which is the row's y.
        return slotMm > 0 ? Leaf.extrusion(feature, Profiles.slot(0, 0, slotMm, diameterMm, SIDES / 2), crosswise(a), from, to)
                : Leaf.extrusion(feature, Profile.hole(0, 0, diameterMm, SIDES), a, from, to);
    }

    private static Placement crosswise(Placement a) {
        return new Placement(a.origin(), a.v(), a.u().times(-1), a.w());
    }

    /** The same as things with a purpose. */
    public List<Cavity> cavities() {
        List<Cavity> all = new ArrayList<>();
        List<Lever> thicker = List.of(standoffMm > 0 ? new Lever(block.standoff, 1, "standoff") : new Lever(plate, 1, "wall"));
        for (int i = 0; i < places.size(); i++) {
            String group = block.id + "." + holes.holes().get(i).label();
            String of = " " + holes.holes().get(i).label();
            switch (seat) {
                case INSERT -> all.add(new Cavity(name("insert", i), group, block.label + " insert" + of, Cavity.Purpose.INSERT, inward(i),
                        insertHoleMm(), 0, insertDepthMm(), false, 0, thicker));
                case CUT -> all.add(new Cavity(name("thread", i), group, block.label + " thread" + of, Cavity.Purpose.THREAD, inward(i), coreMm(), 0, coreDepthMm(), coreDepthMm() >= totalMm, 0, thicker));
                case CAPTIVE_NUT, SLIM_NUT -> {
                    all.add(Cavity.hole(name("hole", i), group, block.label + " hole" + of, inward(i), clearanceMm(), totalMm - pocketMm()));
                    all.add(new Cavity(name("nut pocket", i), group, block.label + " nut" + of, Cavity.Purpose.NUT, outward(i), nutFlatsMm(), 6,
                            pocketMm(), false, clearanceMm(), thicker));
                }
                case LOOSE_NUT, TAPPED -> {
                    all.add(Cavity.hole(name("hole", i), group, block.label + " hole" + of, crosswise(inward(i)), clearanceMm(), totalMm - recessMm).slotted(slotMm));
                    all.add(new Cavity(name("head", i), group, block.label + " head" + of, Cavity.Purpose.HEAD, crosswise(outward(i)),
                            recessMm > 0 ? headHoleMm() : clearanceMm(), 0, recessMm, false, clearanceMm(), thicker, slotMm));
                }
                default -> throw new IllegalStateException();
            }
        }
        return all;
    }

    /** Its screws. Heads bear on the held thing, or for loose nuts and tapped things on the far side of the plate. */
    public List<Screw> screws() {
        List<Screw> all = new ArrayList<>();
        boolean far = seat == SeatKind.LOOSE_NUT || seat == SeatKind.TAPPED;
        Lever thicker = standoffMm > 0 ? new Lever(block.standoff, 1, "standoff") : new Lever(plate, 1, "wall");
        for (int i = 0; i < places.size(); i++) {
            double seatMm = far ? recessMm : 0;
            double endMm = switch (seat) {
                case INSERT, CUT -> 0;
                case CAPTIVE_NUT, SLIM_NUT -> totalMm - pocketMm();
                case LOOSE_NUT, TAPPED -> totalMm;
            };
            all.add(new Screw(block.id + "." + holes.holes().get(i).label(), block.id, block.label + " screws", pieceId, thread, head,
                    in.get(block.washer), in.get(block.length), crosswise(far ? outward(i) : inward(i)), seatMm, far, holes.name(), in.get(block.held), seat,
                    endMm, seat == SeatKind.INSERT ? insertHoleMm() : seat == SeatKind.CUT ? coreMm() : clearanceMm(), insert, block.length,
                    seat == SeatKind.INSERT ? List.of() : List.of(thicker), block.insert, slotMm).seatedBy(block.seat));
        }
        return all;
    }

    /** Numbers that move its bosses' outsides and the faces they end at. */
    public List<Reach> reaches() {
        List<Reach> all = new ArrayList<>();
        if (standoffMm > 0) {
            all.add(new Reach(block.id + " boss", Vec3.ZERO, new Lever(block.boss, 0.5, "boss Ø")));
            all.add(new Reach(block.id + " boss", onTop ? Vec3.Z : Vec3.Z.times(-1), new Lever(block.standoff, 1, "standoff")));
        }
        return all;
    }

    /** What is screwed on, as a slab round its holes. */
    public Held heldThing() {
        List<Profile> rims = places.stream().map(p -> Profile.disc(p[0], p[1], thread.washerOuterMm() + 4, 24)).toList();
        double thick = Math.max(0.2, in.get(block.held));
        double from = onTop ? plateMm + standoffMm : -standoffMm - thick;
        return new Held(holes.name(), Leaf.extrusion(holes.name(), Profiles.hull(rims), Placement.HERE, from, from + thick), 0);
    }
}
