package tinperch.check;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tinperch.fact.Facts;
import tinperch.fact.MeshesFact;
import tinperch.machine.Machine;
import tinperch.machine.MayPrint;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/**
 * Can every piece be printed on the machine chosen for it, lying as chosen and turned about the vertical at will? The machine being upgraded
 * is in pieces while the part is needed. A margin of 5 mm is kept on all sides for a brim and clips (common practice).
 */
public final class BedFitCheck implements Check {
    static final double SIDE_MM = 5;
    private static final String ID = "bed";

    @Override
    public String about() {
        return "bed";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Piece> pieces = pieces(c, facts);
        if (pieces.isEmpty()) {
            return List.of();
        }
        if (c.host().isEmpty()) {
            return List.of(Finding.of(ID, Severity.STOP, "No machine is chosen to print it", "Choose one on the Print station.").with(elsewhere("", pieces, c)).about(Subject.PRINTING));
        }
        Machine m = c.host().get();
        Finding f = judge(m, pieces, c, true).about(Subject.PRINTING);
        Piece worst = tightest(m, pieces);
        if (!m.prints() || spareMm(m, worst.size) >= -1e-6) {
            return List.of(f);
        }
        Vec3 own = worst.made.mesh().bounds().size();
        List<Remedy> lies = OtherLies.of(c, facts, worst.made.piece(), l -> spareMm(m, l.sizeMm(own)) >= -1e-6, 1);
        return List.of(f.with(Stream.concat(lies.stream(), f.remedies().stream()).toList()));
    }

    /** What would be said if a machine were chosen to print it; empty when there is no part. */
    public static Optional<Finding> on(Machine m, Case c, Facts facts) {
        List<Piece> pieces = pieces(c, facts);
        return pieces.isEmpty() ? Optional.empty() : Optional.of(judge(m, pieces, c, false));
    }

    private static List<Piece> pieces(Case c, Facts facts) {
        return facts.get(MeshesFact.BARE).pieces().stream().map(m -> new Piece(m, c.lie(m.piece().id()).sizeMm(m.mesh().bounds().size()))).toList();
    }

    /** A piece and how far it reaches on the bed. */
    private record Piece(MeshesFact.Made made, Vec3 size) {}

    /** The piece with the least room. */
    private static Piece tightest(Machine m, List<Piece> pieces) {
        return pieces.stream().min((a, b) -> Double.compare(spareMm(m, a.size), spareMm(m, b.size))).orElseThrow();
    }

    private static Finding judge(Machine m, List<Piece> pieces, Case c, boolean host) {
        List<Remedy> elsewhere = host ? elsewhere(m.id(), pieces, c) : List.of();
        if (!m.prints()) {
            return Finding.of(ID, Severity.STOP, m.name() + " does not print", "Choose a machine that lays down material.").with(elsewhere);
        }
        Piece worst = tightest(m, pieces);
        Margin room = new Margin(spareMm(m, worst.size), 0, Unit.MM, true);
        Vec3 s = worst.size;
        String part = (pieces.size() > 1 ? "The " + worst.made.piece().name() + ", " : "") + Quantity.plain(s.x(), Unit.MM) + " × " + Quantity.plain(s.y(), Unit.MM) + " × " + Quantity.mm(s.z());
        if (room.spare() < -1e-6) {
            return Finding.of(ID, Severity.STOP, "Too large for " + m.name() + " by " + Quantity.mm(-room.spare()), part + " with "
                    + Quantity.mm(SIDE_MM) + " around it on a usable " + space(m) + ".").measured(room).with(elsewhere);
        }
        Optional<String> obstacle = obstacle(m, c);
        if (obstacle.isPresent()) {
            return Finding.of(ID, Severity.STOP, m.name() + " cannot print it now", obstacle.get()).with(elsewhere);
        }
        return Finding.of(ID, Severity.FINE, "Prints on " + m.name(), part + " on a usable " + space(m) + ".").measured(room);
    }

    private static Optional<String> obstacle(Machine m, Case c) {
        if (m.state() != Machine.State.FIT) {
            return Optional.of(m.name() + " is " + m.state().label().toLowerCase(java.util.Locale.ROOT) + (m.stateNote().isEmpty() ? "." : ": " + m.stateNote()));
        }
        String material = c.part().material();
        if (!m.materials().contains(material)) {
            String why = Material.find(material).map(w -> MayPrint.words(MayPrint.reasonsAgainst(m, w, LocalDate.MAX), w)).orElse("");
            return Optional.of(m.name() + " may not print " + material + (why.isEmpty() ? "; it prints " + String.join(", ", m.materials()) + "." : ": " + why));
        }
        return Optional.empty();
    }

    private static List<Remedy> elsewhere(String notId, List<Piece> pieces, Case c) {
        return c.printers().stream().filter(m -> m.prints() && !m.id().equals(notId) && spareMm(m, tightest(m, pieces).size) >= -1e-6 && obstacle(m, c).isEmpty())
                .map(m -> Remedy.of("print on " + m.name(), new Change.Host(m.id()))).limit(2).toList();
    }

    private static String space(Machine m) {
        return Quantity.plain(m.usableMm().x(), Unit.MM) + " × " + Quantity.plain(m.usableMm().y(), Unit.MM) + " × " + Quantity.mm(m.usableMm().z());
    }

    /** Room left in the tightest direction at the best turn, mm; negative when it does not fit. */
    static double spareMm(Machine m, Vec3 size) {
        return Math.min(flatSpareMm(m, size, bestTurnDeg(m, size)), m.usableMm().z() - size.z());
    }

    /**
     * The turn about the vertical that leaves most room round the part, degrees 0 to 90. Each side's room is a convex function of the turn,
     * so the best is at an end or where both are equal: cos t − sin t = (X − Y)/(w − d).
     */
    public static double bestTurnDeg(Machine m, Vec3 size) {
        double best = flatSpareMm(m, size, 90) > flatSpareMm(m, size, 0) + 1e-9 ? 90 : 0;
        double k = (m.usableMm().x() - m.usableMm().y()) / (size.x() - size.y());
        if (Math.abs(k) <= 1) {
            double equal = Math.toDegrees(Math.acos(k / Math.sqrt(2))) - 45;
            if (flatSpareMm(m, size, equal) > flatSpareMm(m, size, best) + 1e-9) {
                best = equal;
            }
        }
        return best;
    }

    private static double flatSpareMm(Machine m, Vec3 size, double deg) {
        double a = Math.toRadians(deg);
        double cos = deg == 90 ? 0 : Math.cos(a);
        double sin = deg == 90 ? 1 : Math.sin(a);
        double w = size.x() * cos + size.y() * sin;
        double d = size.x() * sin + size.y() * cos;
        return Math.min(m.usableMm().x() - w, m.usableMm().y() - d) - 2 * SIDE_MM;
    }
}
