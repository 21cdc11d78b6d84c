package tinperch.part.block;

import java.util.List;
import tinperch.hardware.ScrewThread;
import tinperch.part.PartInputs;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;

/** The parameters of one row of screws that fasten something with a hole pattern; a family mounts as many as it has. */
public final class ScrewBlock {
    private static final List<String> THREADS = List.of("M3", "M2", "M2.5", "M4", "M5", "M6", "M8");

    public final String id;
    public final String label;
    public final NumberParam x;
    public final NumberParam y;
    public final NumberParam turn;
    public final ChoiceParam<SeatKind> seat;
    public final ChoiceParam<String> thread;
    public final ChoiceParam<ScrewThread.Head> head;
    public final ChoiceParam<ScrewThread.Fit> fit;
    public final NumberParam length;
    public final NumberParam held;
    public final ChoiceParam<Boolean> washer;
    public final NumberParam standoff;
    public final NumberParam boss;
    public final NumberParam insert;
    public final NumberParam recess;
    public final NumberParam slot;

    /**
     * A row of screws.
     *
     * @param id beginning of its keys, {@code label} what findings call it: "tool-side"
     * @param seat what the screws of a new part go into
     * @param standoffMm height of the bosses of a new part
     */
    public ScrewBlock(String id, String label, Card card, SeatKind seat, double standoffMm, double heldMm, double lengthMm) {
        this(id, label, card, seat, standoffMm, heldMm, lengthMm, 0);
    }

    /** @param slotMm how far the holes of a new part are drawn out */
    public ScrewBlock(String id, String label, Card card, SeatKind seat, double standoffMm, double heldMm, double lengthMm, double slotMm) {
        this(id, label, card, seat, standoffMm, heldMm, lengthMm, slotMm, 0);
    }

    /**
     * Values whose heads are let in so deep that a screw of the length given reaches: through a nut and one turn beyond it, or one and a half diameters into the
     * thread of what it holds.
     *
     * @param plasticMm wall and standoff together, {@code betweenMm} what lies between the part and what it holds
     * @throws PartProblem when a screw of this length leaves too little under its head
     */
    public Values lettingIn(PartInputs in, double plasticMm, double betweenMm) {
        ScrewThread t = in.hardware().thread(in.get(thread));
        boolean tapped = in.get(seat) == SeatKind.TAPPED;
        double beyond = tapped ? Math.min(1.5 * t.diameterMm(), Math.max(0, in.get(held) - 0.5)) : in.get(held) + in.get(seat).nutMm(t) + t.pitchMm();
        double under = in.get(length) - (in.get(washer) ? t.washerThicknessMm() : 0) - betweenMm - beyond;
        if (under < LEAST_UNDER_MM) {
            throw new PartProblem(length, "Screws " + Quantity.mm(in.get(length)) + " long leave " + Quantity.mm(Math.max(0, under)) + " of plastic under their heads; take longer ones, at least "
                    + Quantity.mm(Math.ceil(in.get(length) + LEAST_UNDER_MM - under)) + ".");
        }
        return in.values().with(recess, Math.max(0, Math.round(10 * (plasticMm - under)) / 10.0));
    }

    /** Under a head at least (common practice). */
    private static final double LEAST_UNDER_MM = 2;

    /** One whose heads are let in. */
    public static ScrewBlock letIn(String id, String label, Card card, SeatKind seat, double heldMm, double lengthMm, double recessMm) {
        return new ScrewBlock(id, label, card, seat, 0, heldMm, lengthMm, 0, recessMm);
    }

    private ScrewBlock(String id, String label, Card card, SeatKind seat, double standoffMm, double heldMm, double lengthMm, double slotMm, double recessMm) {
        this.id = id;
        this.label = label;
        x = NumberParam.length(id + ".x", card, "Pattern centre x", -200, 200, 0, "From the middle of the part to the middle of the pattern");
        y = NumberParam.length(id + ".y", card, "Pattern centre y", -200, 200, 0, "From the middle of the part to the middle of the pattern");
        turn = NumberParam.angle(id + ".turn", card, "Pattern turned", -180, 180, 0, "Anticlockwise, seen from above");
        this.seat = ChoiceParam.of(id + ".seat", card, "Screws go into", seat, SeatKind::label, "What the screws are tightened into");
        thread = ChoiceParam.words(id + ".thread", card, "Thread", THREADS, "ISO metric coarse");
        head = ChoiceParam.of(id + ".head", card, "Head", ScrewThread.Head.CAP, h -> h == ScrewThread.Head.CAP ? "cap" : "button", "Form of the screw head");
        fit = ChoiceParam.of(id + ".fit", card, "Clearance", ScrewThread.Fit.MEDIUM, ScrewBlock::word, "Series of the clearance hole, ISO 273");
        length = NumberParam.length(id + ".length", card, "Screw length", 3, 120, lengthMm, "Without the head");
        held = NumberParam.length(id + ".held", card, "Held thing is", 0, 60, heldMm, "Thickness of what is screwed on; where it has the thread, how deep that is");
        // A pocket is as wide as its head; a washer needs a wider one.
        washer = new ChoiceParam<>(id + ".washer", card, "Washer", List.of(new ChoiceParam.Option<>(true, "under the head", "under the head"),
                new ChoiceParam.Option<>(false, "none", "none")), "ISO 7089").starting(recessMm == 0);
        standoff = NumberParam.length(id + ".standoff", card, "Standoff", 0, 60, standoffMm, "Height of the bosses the thing stands on; 0 lays it flat");
        boss = NumberParam.length(id + ".boss", card, "Boss Ø", 4, 40, 9.2, "Diameter of the bosses");
        insert = NumberParam.length(id + ".insert", card, "Insert length", 2, 15, 5.7, "The nearest insert of the table is used");
        recess = NumberParam.length(id + ".recess", card, "Recess", 0, 40, recessMm, "How deep the head is let in, or the nut beyond its own height");
        slot = NumberParam.length(id + ".slot", card, "Slots", 0, 80, slotMm, "How far it can be moved along y before it is tightened; 0 for round holes, which inserts and captive nuts always have");
    }

    private static String word(ScrewThread.Fit fit) {
        return fit.name().toLowerCase(java.util.Locale.ROOT);
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(x, y, turn, seat, thread, head, fit, length, held, washer, standoff, boss, insert, recess, slot);
    }
}
