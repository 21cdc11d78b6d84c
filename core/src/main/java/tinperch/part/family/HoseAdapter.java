package tinperch.part.family;

import java.util.List;
import java.util.Optional;
import tinperch.part.Does;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.HoseRef;
import tinperch.part.bind.OpeningRef;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Dimension;
import tinperch.part.form.Held;
import tinperch.part.form.Joint;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.mark.Marking;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Revolution;

/**
 * A hose on a round opening, in two pieces that print without support: a tube whose flange lies inside the wall, and a ring that
 * is pushed over it from outside and snaps on a bead, so that the wall is held between the two. The wall's inner face is z = 0,
 * the hose goes up.
 */
public final class HoseAdapter implements PartFamily {
    private static final Card TUBE = new Card("tube", "Tube");
    private static final Card RING = new Card("ring", "Retaining ring");
    private static final Card SPIGOT = new Card("spigot", "Reaches: the hose");

    public static final NumberParam WALL = NumberParam.length("tube.wall", TUBE, "Tube wall", 0.8, 10, 2.4, "Six lines of a 0.4 mm nozzle are airtight and stiff");
    public static final NumberParam LIP = NumberParam.length("flange.lip", TUBE, "Flange overlap", 2, 40, 8, "How far the flange covers the wall round the opening");
    public static final NumberParam FLANGE = NumberParam.length("flange.thickness", TUBE, "Flange thickness", 1, 20, 3, "Lies on the bed when printed");
    public static final NumberParam SLACK = NumberParam.length("neck.slack", TUBE, "Play in the opening", 0.1, 5, 0.6, "Opening less the tube's outside");
    public static final NumberParam RING_HEIGHT = NumberParam.length("ring.height", RING, "Ring height", 5, 30, 8, "Along the tube");
    public static final NumberParam RING_WIDTH = NumberParam.length("ring.width", RING, "Ring width", 2, 30, 7, "Outside its groove");
    public static final NumberParam SLIT = NumberParam.length("ring.slit", RING, "Slit", 0, 20, 0, "Lets the ring spring open over the bead; 0 for a closed one, which only a press pushes on where it is stout");
    private static final double SLIT_MM = 2;
    public static final NumberParam RING_PLAY = NumberParam.length("ring.play", RING, "Play on the tube", -0.05, 1, 0.1, "On each side, beside half of the printer's running fit; it must slide until it snaps");
    public static final NumberParam BEAD = NumberParam.length("snap.bead", RING, "Bead", 0.3, 2, 0.6, "How far the bead stands out of the tube");
    public static final NumberParam LENGTH = NumberParam.length("spigot.length", SPIGOT, "Spigot length", 8, 150, 30, "Half the hose's diameter at least holds it (common practice)");
    public static final NumberParam OVERSIZE = NumberParam.length("spigot.oversize", SPIGOT, "Larger than the hose", 0, 2, 0.4,
            "At its root, in diameter; 0.3 to 0.5 holds and seals (common practice)");
    public static final NumberParam TAPER = NumberParam.angle("spigot.taper", SPIGOT, "Taper", 0, 5, 1.5, "1 to 2° lets the hose slip on (common practice)");

    public static final Role<HoseRef> HOSE = new Role<>("hose", HoseRef.KIND, "hose", "the hose that is slipped on", false, "hose-50");
    public static final Role<OpeningRef> OPENING = new Role<>("opening", OpeningRef.KIND, "opening", "the round opening it goes through", false, "opening-60");

    private static final int SIDES = 96;
    private static final double LEAD_MM = 0.6;

    @Override
    public String id() {
        return "hose-adapter";
    }

    @Override
    public String title() {
        return "Hose adapter";
    }

    @Override
    public String purpose() {
        return "Leads a hose through a round opening; tube and retaining ring snap together on the wall.";
    }

    @Override
    public Does does() {
        return Does.MOVES_AIR;
    }

    @Override
    public List<Role<?>> roles() {
        return List.of(HOSE, OPENING);
    }

    @Override
    public List<Param<?>> params() {
        return List.of(WALL, LIP, FLANGE, SLACK, RING_HEIGHT, RING_WIDTH, SLIT, RING_PLAY, BEAD, LENGTH, OVERSIZE, TAPER, Marking.HEIGHT);
    }

    @Override
    public String summary(Card card, Values v) {
        if (card.equals(TUBE)) {
            return "wall " + WALL.show(v) + ", flange " + FLANGE.show(v) + " thick";
        }
        if (card.equals(RING)) {
            return RING_HEIGHT.show(v) + " high, bead " + BEAD.show(v);
        }
        return card.equals(SPIGOT) ? LENGTH.show(v) + " long, taper " + TAPER.show(v) : "at most " + Marking.HEIGHT.show(v) + " high";
    }

    /** A slit ring: a closed one is pushed on by a press only. */
    @Override
    public List<Values> starts(Refs refs) {
        return List.of(Values.START.with(SLIT, SLIT_MM));
    }

    @Override
    public PartForm form(PartInputs in) {
        HoseRef hose = in.get(HOSE);
        OpeningRef opening = in.get(OPENING);
        double neck = (opening.diameterMm() - in.get(SLACK)) / 2;
        double root = (hose.innerMm() + in.get(OVERSIZE)) / 2;
        double tip = root - in.get(LENGTH) * Math.tan(Math.toRadians(in.get(TAPER)));
        double wall = in.get(WALL);
        double bead = in.get(BEAD);
        if (root > neck) {
            throw new PartProblem(OVERSIZE, "The ring must pass over the spigot: a spigot of Ø " + Quantity.mm(2 * root) + " for this hose is wider than the tube of Ø "
                    + Quantity.mm(2 * neck) + " that this opening lets through. Widen the opening to " + Quantity.mm(2 * root + in.get(SLACK)) + " or take a thinner hose.");
        }
        if (tip - wall < 2) {
            throw new PartProblem(WALL, "A wall of " + Quantity.mm(wall) + " leaves no bore in a spigot of Ø " + Quantity.mm(2 * tip) + "; make it thinner or the spigot shorter.");
        }
        double ring = in.get(RING_HEIGHT);
        if (2 * bead + 2 * LEAD_MM > ring) {
            throw new PartProblem(RING_HEIGHT, "A ring " + Quantity.mm(ring) + " high has no room for a bead of " + Quantity.mm(bead) + "; make it at least "
                    + Quantity.mm(2 * bead + 2 * LEAD_MM) + " high.");
        }
        double play = in.get(RING_PLAY) + in.fits().runningMm() / 2;
        double outside = neck + in.get(LIP);
        double from = -in.get(FLANGE);
        double snap = opening.wallMm() + ring / 2;
        double shoulder = opening.wallMm() + ring + 1;
        double start = shoulder + neck - root;
        double top = start + in.get(LENGTH);
        Leaf tube = Revolution.leaf("tube", Profile.of(new double[] {outside, from, outside, 0, neck, 0, neck, snap - bead, neck + bead, snap, neck, snap + bead,
            neck, shoulder, root, start, tip, top, tip - wall, top, tip - wall, start, neck - wall, start - (neck - tip), neck - wall, from}),
                Placement.at(0, 0, -from), SIDES, Revolution.Fit.WITHIN);
        double inner = neck + play;
        double outer = inner + bead + in.get(RING_WIDTH);
        double middle = ring / 2;
        Solid slit = in.get(SLIT) > 0 ? Leaf.extrusion("slit", Profile.rectangle((inner + outer) / 2, 0, outer - inner + 2 * bead + 4, in.get(SLIT)), Placement.HERE, -1, ring + 1) : null;
        Leaf rim = Revolution.leaf("ring", Profile.of(new double[] {inner + LEAD_MM, 0, outer, 0, outer, ring, inner + LEAD_MM, ring, inner, ring - LEAD_MM,
            inner, middle + bead, inner + bead, middle, inner, middle - bead, inner, LEAD_MM}), Placement.HERE, SIDES, Revolution.Fit.AROUND);
        Piece tubePiece = new Piece("tube", "tube", tube, List.of(), Placement.at(0, 0, from), 1, Vec3.ZERO, List.of(
                new Reach("tube", Vec3.Z, new Lever(LENGTH, 1, "spigot length")), new Reach("tube", Vec3.Z.times(-1), new Lever(FLANGE, 1, "flange"))));
        Piece ringPiece = new Piece("ring", "retaining ring", slit == null ? rim : new Solid.Difference(rim, List.of(slit)), List.of(), Placement.at(0, 0, opening.wallMm()), 1,
                new Vec3(0, 0, top - opening.wallMm() + 10), List.of(new Reach("ring", Vec3.ZERO, new Lever(RING_WIDTH, 1, "ring width"))));
        Joint snapOn = new Joint.AnnularSnap("ring on the tube", 2 * (bead - play), 2 * inner, bead + in.get(RING_WIDTH), ring, wall, in.get(SLIT) > 0, SLIT,
                List.of(new Lever(BEAD, 2, "bead"), new Lever(RING_PLAY, -2, "play")));
        double sheet = outside + 8;
        Leaf board = Leaf.extrusion("wall", Profile.of(Profile.rectangle(0, 0, 2 * sheet, 2 * sheet).ring(0),
                Profile.hole(0, 0, opening.diameterMm(), 72).ring(0)), Placement.HERE, 0, opening.wallMm());
        double skin = Math.max(1, (hose.outerMm() - hose.innerMm()) / 2);
        Leaf slipped = Leaf.extrusion("hose", Profile.of(Profile.disc(0, 0, 2 * (root + skin), 48).ring(0), Profile.hole(0, 0, 2 * tip, 48).ring(0)),
                Placement.HERE, start, top + 10);
        return new PartForm(List.of(tubePiece, ringPiece), List.of(), List.of(new Held(opening.name(), board, 0, true), new Held(hose.name(), slipped, root - tip + 0.5)),
                List.of(snapOn), List.of(), List.of(
                        Dimension.across(View.FRONT, -outside, 0, from, outside, 0, from, -10, null),
                        Dimension.up(View.FRONT, outside, 0, from, outside, 0, 0, 8, FLANGE),
                        Dimension.up(View.FRONT, -outer, 0, opening.wallMm(), -outer, 0, opening.wallMm() + ring, -8, RING_HEIGHT),
                        Dimension.up(View.SIDE, 0, root, start, 0, root, top, 16, LENGTH),
                        Dimension.across(View.TOP, -outer, 0, 0, outer, 0, 0, -14, null),
                        Dimension.across(View.FRONT, -tip, 0, top, tip, 0, top, 10, null)),
                Optional.of(new PartForm.Mount(Placement.at(0, 0, opening.wallMm()), true)));
    }
}
