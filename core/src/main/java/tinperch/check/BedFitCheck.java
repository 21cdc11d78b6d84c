package tinperch.check;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.machine.Machine;
import tinperch.machine.MayPrint;
import tinperch.material.Material;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;

/**
 * On which machine can the part be printed, lying as drawn and turned about the vertical at will? The machine being
 * upgraded is in pieces while the part is needed. A margin of 5 mm is kept on all sides for a brim and clips (common
 * practice).
 */
public final class BedFitCheck implements Check {
    static final double SIDE_MM = 5;

    @Override
    public List<Finding> judge(Situation s) {
        List<Finding> all = new ArrayList<>();
        Vec3 size = s.form().bounds().size();
        for (Machine m : s.machines()) {
            if (m.prints()) {
                all.add(judge(m, size, s));
            }
        }
        return all;
    }

    private static Finding judge(Machine m, Vec3 size, Situation s) {
        boolean host = m.id().equals(s.hostMachineId());
        Margin room = new Margin(spareMm(m, size), 0, Unit.MM, true);
        String id = "bed." + m.id();
        String part = Quantity.plain(size.x(), Unit.MM) + " × " + Quantity.plain(size.y(), Unit.MM) + " × "
                + Quantity.mm(size.z());
        Optional<String> obstacle = obstacle(m, s);
        if (room.spare() < 0) {
            return new Finding(id, host ? Word.STOP : Word.LOOK, "Too large for " + m.name() + " by "
                    + Quantity.mm(-room.spare()), part + " with " + Quantity.mm(SIDE_MM) + " around it on a usable "
                    + space(m) + ".", Optional.of(room), host ? elsewhere(m, size, s) : List.of(), "");
        }
        if (obstacle.isPresent()) {
            return new Finding(id, host ? Word.STOP : Word.LOOK, m.name() + " cannot print it now", obstacle.get(),
                    Optional.empty(), host ? elsewhere(m, size, s) : List.of(), "");
        }
        return new Finding(id, Word.FINE, host ? "Prints on " + m.name() : "Would fit " + m.name(),
                part + " on a usable " + space(m) + ".", Optional.of(room), List.of(), "");
    }

    private static Optional<String> obstacle(Machine m, Situation s) {
        if (m.state() != Machine.State.FIT) {
            return Optional.of(m.name() + " is " + m.state().label().toLowerCase(java.util.Locale.ROOT)
                    + (m.stateNote().isEmpty() ? "." : ": " + m.stateNote()));
        }
        if (!m.materials().contains(s.material())) {
            Material wanted = Material.named(s.material());
            String why = MayPrint.words(MayPrint.reasonsAgainst(m, wanted, LocalDate.MAX), wanted);
            return Optional.of(m.name() + " may not print " + s.material() + (why.isEmpty() ? "; it prints "
                    + String.join(", ", m.materials()) + "." : ": " + why));
        }
        return Optional.empty();
    }

    private static List<Remedy> elsewhere(Machine not, Vec3 size, Situation s) {
        return s.machines().stream()
                .filter(m -> m.prints() && m != not && spareMm(m, size) >= 0 && obstacle(m, s).isEmpty())
                .map(m -> Remedy.of("print on " + m.name(), new Change.Host(m.id())))
                .limit(2).toList();
    }

    private static String space(Machine m) {
        return Quantity.plain(m.usableMm().x(), Unit.MM) + " × " + Quantity.plain(m.usableMm().y(), Unit.MM) + " × "
                + Quantity.mm(m.usableMm().z());
    }

    /** Room left in the tightest direction at the best turn, mm; negative when it does not fit. */
    static double spareMm(Machine m, Vec3 size) {
        return Math.min(flatSpareMm(m, size, bestTurnDeg(m, size)), m.usableMm().z() - size.z());
    }

    /** The turn about the vertical that leaves most room round the part, whole degrees 0 to 90. */
    public static int bestTurnDeg(Machine m, Vec3 size) {
        int best = 0;
        for (int deg = 1; deg <= 90; deg++) {
            if (flatSpareMm(m, size, deg) > flatSpareMm(m, size, best) + 1e-9) {
                best = deg;
            }
        }
        return best;
    }

    private static double flatSpareMm(Machine m, Vec3 size, int deg) {
        double a = Math.toRadians(deg);
        double w = size.x() * Math.cos(a) + size.y() * Math.sin(a);
        double d = size.x() * Math.sin(a) + size.y() * Math.cos(a);
        return Math.min(m.usableMm().x() - w, m.usableMm().y() - d) - 2 * SIDE_MM;
    }
}
