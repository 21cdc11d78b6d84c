package tinperch.part.family;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewThread;
import tinperch.part.Base;
import tinperch.part.Dimension;
import tinperch.part.Parameter;
import tinperch.part.PartFamily;
import tinperch.part.PartForm;
import tinperch.part.PartInputs;
import tinperch.part.PartProblem;
import tinperch.part.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Bounds;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.query.MeshRounds;

/**
 * A downloaded model made to fit: laid on the side it prints best on, its holes bored for the owner's screws and for the printer
 * that makes it. Everything else stays as it was drawn.
 */
public final class FittedModel implements PartFamily {
    /** A hole counts as one of the size asked for when it is this near, mm: drawn sizes are round numbers. */
    private static final double ALIKE_MM = 0.15;
    /** Bores reach this far beyond the faces the holes end at, so that no skin is left. */
    private static final double BEYOND_MM = 0.01;
    private static final int SIDES = 48;
    private static final String AS_DRAWN = "nothing: as drawn";
    private static final String FOR_PRINTER = "this printer only";

    private static final List<Parameter> PARAMETERS = parameterList();

    /** The sides a model can lie on, with where its own axes go then. */
    private enum Down {
        BOTTOM(Vec3.X, Vec3.Y), TOP(Vec3.X, Vec3.Y.times(-1)), LEFT(Vec3.Z, Vec3.Y), RIGHT(Vec3.Z.times(-1), Vec3.Y),
        FRONT(Vec3.X, Vec3.Z), BACK(Vec3.X, Vec3.Z.times(-1));

        private final Placement turned;

        Down(Vec3 u, Vec3 v) {
            turned = new Placement(Vec3.ZERO, u, v, u.cross(v));
        }

        String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    @Override
    public String id() {
        return "fitted-model";
    }

    @Override
    public String title() {
        return "Downloaded model";
    }

    @Override
    public String purpose() {
        return "Somebody else's model, laid as it prints best and bored for your screws and your printer.";
    }

    @Override
    public boolean wantsBase() {
        return true;
    }

    @Override
    public Map<String, String> roles() {
        return Map.of();
    }

    @Override
    public List<Parameter> parameters() {
        return PARAMETERS;
    }

    private static List<Parameter> parameterList() {
        List<String> downs = Arrays.stream(Down.values()).map(Down::word).toList();
        List<String> wanted = new ArrayList<>(List.of(AS_DRAWN, FOR_PRINTER));
        HardwareTables.STANDARD.threads().forEach(t -> wanted.add(t.name()));
        return List.of(
                Parameter.choice("base.down", "Lies on", "The model's", downs, "The side that lies on the bed; its bottom is where z is least, "
                        + "its front where y is, its left where x is"),
                Parameter.choice("holes.for", "Holes", "Bored for", wanted,
                        "A thread bores the holes to let its screws through; the printer's hole offset is added to every bore"),
                Parameter.number("holes.of", "Holes", "Only those of Ø", Unit.MM, 0, 100, 0, "As drawn; 0 takes all that are found"),
                Parameter.choice("holes.fit", "Holes", "Fit", List.of("medium", "fine", "coarse"), "Series of ISO 273"),
                Marking.parameter("Mark"));
    }

    @Override
    public String summary(String group, Values v) {
        if (group.equals("Lies on")) {
            return "lies on its " + v.choice("base.down");
        }
        if (group.equals("Mark")) {
            return v.number(Marking.KEY) > 0 ? "at most " + Quantity.mm(v.number(Marking.KEY)) + " high, where there is room" : "none";
        }
        String wanted = v.choice("holes.for");
        String of = v.number("holes.of") > 0 ? "Ø " + Quantity.mm(v.number("holes.of")) : "all";
        return wanted.equals(AS_DRAWN) ? "as drawn" : of + " bored for " + wanted
                + (wanted.equals(FOR_PRINTER) ? "" : ", " + v.choice("holes.fit") + " fit");
    }

    @Override
    public String keyOf(String feature) {
        if (feature.startsWith("mark")) {
            return Marking.KEY;
        }
        return feature.startsWith("hole") ? "holes.for" : "base.down";
    }

    @Override
    public PartForm form(PartInputs in) {
        Base base = in.base().orElseThrow(() -> new PartProblem("", "This part is made from a model; none was chosen."));
        Down down = Down.valueOf(in.values().choice("base.down").toUpperCase(Locale.ROOT));
        Bounds lying = base.body().placed("model", down.turned).bounds();
        Placement place = new Placement(new Vec3(-lying.centre().x(), -lying.centre().y(), -lying.min().z()), down.turned.u(),
                down.turned.v(), down.turned.w());
        Leaf body = base.body().placed("model", place);
        List<Leaf> bores = new ArrayList<>();
        for (MeshRounds.Round hole : chosen(base, in.values())) {
            bores.add(bore(hole, diameterMm(hole, in), bores.size() + 1).placed("hole " + (bores.size() + 1), place));
        }
        List<Solid> cuts = new ArrayList<>(bores);
        Optional<String> mark = in.mark().isEmpty() ? Optional.empty() : Marking.engrave(in.mark(), in.values().number(Marking.KEY),
                body.bounds().max().z(), "top", new FlatTop(base.mesh().placed(place), upright(bores)), cuts);
        Solid solid = cuts.isEmpty() ? body : new Solid.Difference(body, cuts);
        return new PartForm(solid, body.bounds(), List.of(), List.of(), dimensions(body.bounds()), List.of(), mark);
    }

    private static List<MeshRounds.Round> chosen(Base base, Values v) {
        if (v.choice("holes.for").equals(AS_DRAWN)) {
            return List.of();
        }
        List<MeshRounds.Round> holes = base.rounds().stream().filter(MeshRounds.Round::hole).toList();
        double of = v.number("holes.of");
        List<MeshRounds.Round> alike = holes.stream().filter(h -> of == 0 || Math.abs(h.diameter() - of) <= ALIKE_MM).toList();
        if (alike.isEmpty()) {
            TreeSet<Double> sizes = new TreeSet<>();
            holes.forEach(h -> sizes.add(Math.round(h.diameter() * 10) / 10.0));
            throw new PartProblem("holes.of", holes.isEmpty() ? "No round hole was found in “" + base.name() + "”; leave its holes as drawn."
                    : "“" + base.name() + "” has no hole of Ø " + Quantity.mm(of) + "; it has "
                    + String.join(", ", sizes.stream().map(Quantity::mm).toList()) + ".");
        }
        return alike;
    }

    /** What a hole is bored to, mm: never less than it has. */
    private static double diameterMm(MeshRounds.Round hole, PartInputs in) {
        String wanted = in.values().choice("holes.for");
        if (wanted.equals(FOR_PRINTER)) {
            return hole.diameter() + Math.max(0, in.holeOffsetMm());
        }
        double clear = in.hardware().thread(wanted).clearanceMm(ScrewThread.Fit.valueOf(in.values().choice("holes.fit")
                .toUpperCase(Locale.ROOT))) + in.holeOffsetMm();
        if (clear < hole.diameter() - ALIKE_MM) {
            throw new PartProblem("holes.of", "A hole of Ø " + Quantity.mm(hole.diameter()) + " is wider than the " + Quantity.mm(clear)
                    + " for " + wanted + " already; say which holes are meant. Nothing can be made smaller by boring.");
        }
        return Math.max(clear, hole.diameter());
    }

    /** The bores that stand upright as circles x, y, radius. */
    private static List<double[]> upright(List<Leaf> bores) {
        return bores.stream().map(Leaf::bounds).filter(b -> Math.abs(b.size().x() - b.size().y()) < 0.05 * b.size().x())
                .map(b -> new double[] {b.centre().x(), b.centre().y(), b.size().x() / 2}).toList();
    }

    private static Leaf bore(MeshRounds.Round hole, double diameterMm, int number) {
        Vec3 along = hole.axis() == 0 ? Vec3.X : hole.axis() == 1 ? Vec3.Y : Vec3.Z;
        double reach = hole.length() / 2 + BEYOND_MM;
        return Leaf.extrusion("hole " + number, Profile.hole(0, 0, diameterMm, SIDES),
                Placement.along(hole.middle(), along, hole.axis() == 0 ? Vec3.Y : Vec3.X), -reach, reach);
    }

    private static List<Dimension> dimensions(Bounds b) {
        return List.of(new Dimension(Dimension.View.TOP, b.min(), new Vec3(b.max().x(), b.min().y(), 0), -8, true, Optional.empty()),
                new Dimension(Dimension.View.TOP, b.min(), new Vec3(b.min().x(), b.max().y(), 0), -8, false, Optional.empty()),
                new Dimension(Dimension.View.FRONT, new Vec3(b.max().x(), 0, b.min().z()), b.max(), 8, false, Optional.empty()));
    }
}
