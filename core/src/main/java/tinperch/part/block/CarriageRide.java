package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Known;
import tinperch.part.form.Cavity;
import tinperch.part.form.Held;
import tinperch.part.form.Screw;
import tinperch.part.form.SeatKind;
import tinperch.part.param.Card;
import tinperch.part.param.ChoiceParam;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Vec3;

/**
 * What a carriage rides on, under its plate: grooved wheels round a profile, the lower ones on eccentric spacers, or four bearing blocks on two rods. Runs
 * along x; the middle of all is x = y = 0.
 */
public final class CarriageRide {
    /** What it is. */
    public enum On {
        THREE("three wheels"), FOUR("four wheels"), BLOCKS("bearing blocks");

        private final String label;

        On(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private static final int SIDES = 48;
    private static final double WHEEL_WIDE_MM = 10;

    public final ChoiceParam<On> on;
    public final NumberParam apart;
    public final NumberParam rows;
    public final NumberParam eccentric;
    public final NumberParam wheel;
    public final NumberParam spacer;
    public final ScrewBlock axles;
    public final NumberParam blockLong;
    public final NumberParam blockWide;
    public final NumberParam blockHigh;
    public final NumberParam rodBelow;
    public final ScrewBlock blocks;

    public CarriageRide(Card wheels, Card fixed, Card bearing) {
        on = ChoiceParam.of("wheels.count", wheels, "Rides on", On.FOUR, On::label,
                "Two fixed wheels above the profile and one or two that are pressed against it below; or four bearing blocks on two rods");
        apart = NumberParam.length("wheels.apart", wheels, "Apart along it", 15, 300, 60, "Wheels or bearing blocks, from middle to middle along the profile or rod");
        rows = NumberParam.length("wheels.rows", wheels, "Rows apart", 15, 200, 40, "From the fixed wheels' axles to the others', eccentric spacers in their middle position; of blocks, from rod to rod");
        eccentric = NumberParam.length("wheels.eccentric", wheels, "Eccentric spacer's hole Ø", 3, 20, 7.2, "Round its collar, with play to turn it");
        wheel = NumberParam.length("wheels.diameter", wheels, "Wheel Ø", 8, 80, 24, "Outside");
        spacer = NumberParam.length("wheels.spacer", wheels, "Spacer", 0, 40, 6, "Between plate and wheel");
        axles = new ScrewBlock("axle", "wheel", fixed, SeatKind.LOOSE_NUT, 0, 16, 30);
        blocks = new ScrewBlock("block", "bearing block", bearing, SeatKind.TAPPED, 0, 8, 12);
        blockLong = NumberParam.length("block.long", bearing, "Block's length", 5, 120, 30, "Along the rod");
        blockWide = NumberParam.length("block.wide", bearing, "Block's width", 5, 120, 34, "Across the rod");
        blockHigh = NumberParam.length("block.high", bearing, "Block's height", 5, 80, 22, "From the plate down");
        rodBelow = NumberParam.length("block.rod", bearing, "Rod below the plate", 2, 80, 11, "From the plate to the rod's middle");
    }

    /** Those of wheels, in the order they are shown. */
    public List<Param<?>> wheelParams() {
        List<Param<?>> all = new ArrayList<>(List.of(on, apart, rows, eccentric, wheel, spacer));
        all.addAll(axles.params());
        return all;
    }

    /** Those of bearing blocks. */
    public List<Param<?>> blockParams() {
        List<Param<?>> all = new ArrayList<>(List.of(blockLong, blockWide, blockHigh, rodBelow));
        all.addAll(blocks.params());
        return all;
    }

    /**
     * What becomes of it.
     *
     * @param row its screws, made by the plate's own rules; {@code more} those in holes that are not the row's
     * @param holes cut besides the row's
     * @param discs of plastic round its holes, a list for each that is joined by a web of its own
     * @param middleZ where the middle of what it rides on is
     */
    public record Made(ScrewRow row, List<Screw> more, List<Cavity> holes, List<List<GrownOutline.Disc>> discs, List<Held> held, double middleZ) {}

    /**
     * The ride under a plate.
     *
     * @param block the threads of a bearing block, where it rides on those
     * @param edge plastic left round every hole
     */
    public Made of(PartInputs in, NumberParam plate, NumberParam edge, Optional<HolesRef> block, Known known) {
        double x = in.get(apart) / 2;
        double y = in.get(rows) / 2;
        if (in.get(on) == On.BLOCKS) {
            HolesRef one = block.orElseThrow(() -> new PartProblem(on, "Which threads the bearing blocks have is not said; bind them under Measure, or let it ride on wheels."));
            return onBlocks(in, plate, edge, one, x, y);
        }
        HolesRef above = new HolesRef("wheels", List.of(new HolesRef.Hole("A", -x, y, in.hardware().thread(in.get(axles.thread)).diameterMm()),
                new HolesRef.Hole("B", x, y, in.hardware().thread(in.get(axles.thread)).diameterMm())), false, known);
        ScrewRow row = new ScrewRow(axles, in, above, "part", plate, false);
        double t = in.get(plate);
        double bore = in.get(eccentric) + in.holeOffsetMm();
        List<double[]> below = in.get(on) == On.FOUR ? List.of(new double[] {-x, -y}, new double[] {x, -y}) : List.<double[]>of(new double[] {0, -y});
        List<Cavity> holes = new ArrayList<>();
        List<Screw> more = new ArrayList<>();
        List<GrownOutline.Disc> fixed = row.places().stream().map(p -> new GrownOutline.Disc(p[0], p[1], row.cutRadiusMm() + row.slotMm() / 2 + in.get(edge))).toList();
        List<GrownOutline.Disc> pressed = new ArrayList<>();
        for (double[] p : below) {
            String of = "eccentric " + (char) ('A' + holes.size());
            holes.add(Cavity.hole(of, of, of.replace("eccentric", "eccentric spacer's hole"), Placement.at(p[0], p[1], 0), bore, t));
            pressed.add(new GrownOutline.Disc(p[0], p[1], in.get(eccentric) / 2 + in.get(edge)));
            // As long as the others: only their hole is wider.
            Screw like = row.screws().get(0);
            Placement a = like.axis();
            more.add(like.another("eccentric." + (char) ('A' + more.size()), "eccentric", "eccentric wheels' screws", bore, new Placement(new Vec3(p[0], p[1], a.origin().z()), a.u(), a.v(), a.w())));
        }
        double from = -row.standoffMm() - in.get(spacer) - WHEEL_WIDE_MM;
        List<Held> held = new ArrayList<>();
        List<double[]> all = new ArrayList<>(row.places());
        all.addAll(below);
        all.forEach(w -> held.add(new Held("wheel", Leaf.extrusion("wheel", Profile.disc(w[0], w[1], in.get(wheel), SIDES), Placement.HERE, from, from + WHEEL_WIDE_MM), 0, true)));
        return new Made(row, more, holes, List.of(fixed, pressed), held, from + WHEEL_WIDE_MM / 2);
    }

    private Made onBlocks(PartInputs in, NumberParam plate, NumberParam edge, HolesRef one, double x, double y) {
        if (in.get(blockLong) > 2 * x || in.get(blockWide) > 2 * y) {
            throw new PartProblem(in.get(blockLong) > 2 * x ? apart : rows, "Bearing blocks of " + Quantity.mm(in.get(blockLong)) + " × " + Quantity.mm(in.get(blockWide)) + " overlap at " + Quantity.mm(2 * x) + " × " + Quantity.mm(2 * y)
                    + " from middle to middle; put them farther apart.");
        }
        List<HolesRef.Hole> holes = new ArrayList<>();
        List<Held> held = new ArrayList<>();
        for (double[] at : new double[][] {{-x, y}, {x, y}, {-x, -y}, {x, -y}}) {
            String name = String.valueOf(held.size() + 1);
            one.holes().forEach(h -> holes.add(new HolesRef.Hole(name + h.label(), at[0] + h.xMm(), at[1] + h.yMm(), h.diameterMm())));
            held.add(new Held("bearing block", Leaf.extrusion("bearing block", Profile.rectangle(at[0], at[1], in.get(blockLong), in.get(blockWide)), Placement.HERE,
                    -in.get(blocks.standoff) - in.get(blockHigh), -in.get(blocks.standoff)), 0, true));
        }
        ScrewRow row = new ScrewRow(blocks, in, new HolesRef("bearing block", holes, one.squareAssumed(), one.known()), "part", plate, false);
        List<GrownOutline.Disc> discs = row.places().stream().map(p -> new GrownOutline.Disc(p[0], p[1], row.cutRadiusMm() + in.get(edge))).toList();
        List<List<GrownOutline.Disc>> groups = new ArrayList<>();
        int each = one.holes().size();
        for (int i = 0; i < 4; i++) {
            groups.add(discs.subList(i * each, (i + 1) * each));
        }
        return new Made(row, List.of(), List.of(), groups, held, -in.get(blocks.standoff) - in.get(rodBelow));
    }
}
