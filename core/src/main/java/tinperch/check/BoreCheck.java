package tinperch.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.hardware.ScrewThread;
import tinperch.machine.Machine;
import tinperch.part.feature.Feature;
import tinperch.part.feature.kind.HoleFeature;
import tinperch.part.form.Cavity;
import tinperch.part.form.Piece;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;
import tinperch.upgrade.PartDesign;

/**
 * Do screws pass through holes somebody else drew? They drew them for a printer of their own or for none: nothing was added for this one. Clearance holes by ISO 273, medium.
 */
public final class BoreCheck implements Check {
    /** Through less than this over its thread a screw does not go, mm (value from memory). */
    private static final double LEAST_PLAY_MM = 0.1;
    /** A hole is drawn for the largest thread it would take, at most so much wider, as a share (value from memory). */
    private static final double WIDER = 1.25;
    private static final double SAME_MM = 0.05;
    private static final int MOST = 12;

    @Override
    public String about() {
        return "drawn holes";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (MeshesFact.Made m : facts.get(MeshesFact.BARE).pieces()) {
            Piece p = m.piece();
            Map<String, List<Cavity>> narrow = new TreeMap<>();
            p.cavities().stream().filter(x -> x.purpose() == Cavity.Purpose.DRAWN && !isBored(x, p)).forEach(x -> drawnFor(x.widthMm(), c).filter(t -> x.widthMm() - c.recipe().holeOffsetMm() < t.diameterMm() + LEAST_PLAY_MM)
                    .ifPresent(t -> narrow.computeIfAbsent(t.name(), k -> new ArrayList<>()).add(x)));
            narrow.forEach((name, holes) -> all.add(finding(m, c.hardware().thread(name), holes, c)));
        }
        return all;
    }

    /** Whether a hole of one's own goes where it is. */
    private static boolean isBored(Cavity x, Piece p) {
        return p.cavities().stream().anyMatch(o -> o.purpose() != Cavity.Purpose.DRAWN && Math.abs(o.axis().w().dot(x.axis().w())) > 1 - 1e-6 && Math.hypot(x.axis().local(o.axis().origin()).x(), x.axis().local(o.axis().origin()).y()) < SAME_MM);
    }

    private static Optional<ScrewThread> drawnFor(double mm, Case c) {
        return c.hardware().threads().stream().filter(t -> mm > t.diameterMm() - SAME_MM && mm < WIDER * t.diameterMm()).max(Comparator.comparingDouble(ScrewThread::diameterMm));
    }

    private static Finding finding(MeshesFact.Made m, ScrewThread t, List<Cavity> holes, Case c) {
        Piece p = m.piece();
        double drawn = holes.stream().mapToDouble(Cavity::widthMm).min().orElseThrow();
        double offset = c.recipe().holeOffsetMm();
        double comes = Math.round((drawn - offset) * 100) / 100.0;
        double wanted = t.clearanceMm(ScrewThread.Fit.MEDIUM);
        String host = c.host().map(Machine::name).orElse("the printer");
        String mm = Quantity.mm(Math.round(drawn * 100) / 100.0);
        boolean one = holes.size() == 1;
        String what = (one ? "A hole " : holes.size() + " holes ") + (offset == 0 ? (one ? "is" : "are") + " drawn at " + mm : "drawn at " + mm + (one ? " comes" : " come") + " out at " + Quantity.mm(comes)) + ": no " + t.name() + " goes through";
        return Finding.of("bore." + p.id() + "." + t.name().toLowerCase(Locale.ROOT), Severity.LOOK, what,
                "Nothing was added to what somebody else drew" + (offset == 0 ? "" : ", and holes come out " + Quantity.mm(offset) + " small on " + host) + ". Through a hole for it an " + t.name() + " wants " + Quantity.mm(wanted)
                        + " (ISO 273, medium). If no screw is meant to go through, live with it.")
                .measured(new Margin(comes, wanted, Unit.MM, true)).at(p.id(), holes.get(0).feature()).with(bored(m, t, holes, c.part()).stream().toList());
    }

    /** Bored for the thread, with what this printer wants, from the face each begins or ends at. */
    private static Optional<Remedy> bored(MeshesFact.Made m, ScrewThread t, List<Cavity> holes, PartDesign before) {
        List<Change> all = new ArrayList<>();
        PartDesign part = before;
        String label = "bore for " + t.name();
        for (Cavity x : holes.subList(0, Math.min(MOST, holes.size()))) {
            Optional<Feature> hole = hole(m.piece(), m.mesh(), t, x, label, part);
            if (hole.isEmpty()) {
                return Optional.empty();
            }
            all.add(new Change.PutFeature(hole.get()));
            part = part.with(hole.get());
        }
        return Optional.of(new Remedy(label, all, Optional.empty(), ""));
    }

    /** From the face it begins at, or else that it ends at, as deep as it goes. */
    private static Optional<Feature> hole(Piece p, Mesh mesh, ScrewThread t, Cavity x, String label, PartDesign part) {
        Vec3 w = x.axis().w();
        for (boolean begins : new boolean[] {true, false}) {
            Vec3 out = begins ? w.times(-1) : w;
            Vec3 end = x.axis().point(0, 0, begins ? 0 : x.depthMm());
            Vec3 other = x.axis().point(0, 0, begins ? x.depthMm() : 0);
            Optional<Feature> hole = mesh.faces().stream().filter(f -> f.normal().dot(out) > 1 - 1e-6 && Math.abs(f.offset() - out.dot(end)) < SAME_MM).findFirst()
                    .flatMap(f -> Opening.bored(part, p, f, other, label, Values.START.with(HoleFeature.FOR, Optional.of(t.name()))));
            if (hole.isPresent()) {
                return hole;
            }
        }
        return Optional.empty();
    }
}
