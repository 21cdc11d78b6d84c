package tinperch.machine.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.quantity.Quantity;
import tinperch.solid.Vec3;

/**
 * A downloaded model kept with a machine.
 *
 * @param meshId which of the kept meshes it is
 * @param scale mm for one unit of its file: 1, 10, 25.4 or 1000
 * @param triangles how fine it is
 * @param size of its box, in the unit of its file
 * @param mending what had to be mended, in words
 * @param checks two to four things to read on the real one
 */
public record Model(String id, String name, String meshId, double scale, int triangles, Vec3 size, String mending,
        List<ModelCheck> checks) {
    public static final int MOST_CHECKS = 4;
    /** The units a file may be in: mm for one of them. */
    public static final List<Double> SCALES = List.of(1.0, 25.4, 10.0, 1000.0);

    public Model {
        checks = checks == null ? List.of() : List.copyOf(checks);
    }

    /** Whether it may be believed. */
    public enum Verdict {
        /** Fewer than two checks were read. */
        UNCHECKED,
        AGREES,
        DISAGREES
    }

    /** Under another name. */
    public Model named(String next) {
        return new Model(id, next, meshId, scale, triangles, size, mending, checks);
    }

    /** Read in another unit: mm for one of the file's. */
    public Model scaled(double next) {
        return new Model(id, name, meshId, next, triangles, size, mending, checks);
    }

    /** With a check put in, or changed when its id is known; a fifth one is not taken. */
    public Model with(ModelCheck check) {
        List<ModelCheck> next = new ArrayList<>(checks);
        int at = checks.stream().map(ModelCheck::id).toList().indexOf(check.id());
        if (at >= 0) {
            next.set(at, check);
        } else if (next.size() < MOST_CHECKS) {
            next.add(check);
        }
        return new Model(id, name, meshId, scale, triangles, size, mending, next);
    }

    /** Without a check. */
    public Model withoutCheck(String checkId) {
        return new Model(id, name, meshId, scale, triangles, size, mending,
                checks.stream().filter(c -> !c.id().equals(checkId)).toList());
    }

    /** Size of its box in mm. */
    public Vec3 sizeMm() {
        return size.times(scale);
    }

    /** Whether it may be believed, from its checks. */
    public Verdict verdict() {
        List<Boolean> said = checks.stream().map(c -> c.agrees(scale)).flatMap(Optional::stream).toList();
        return said.contains(false) ? Verdict.DISAGREES : said.size() < 2 ? Verdict.UNCHECKED : Verdict.AGREES;
    }

    /** The verdict in a sentence that says what to do. */
    public String verdictWords() {
        long read = checks.stream().filter(c -> c.read().isPresent()).count();
        return switch (verdict()) {
            case UNCHECKED -> read == 0 ? "Not believed yet: choose two to four things and read them on the real one."
                    : "One reading agrees; a second one is needed before it is believed.";
            case AGREES -> read + " readings agree with it within " + Quantity.mm(ModelCheck.LIMIT_MM) + ".";
            case DISAGREES -> likelyScale().map(s -> "The readings disagree, but all by the same factor: its file seems to be in "
                    + unitName(s) + ".").orElse("The readings disagree with it: it is another version, or was drawn by eye. "
                            + "Measure and draw what matters yourself.");
        };
    }

    /** Another unit with which all readings so far would agree. */
    public Optional<Double> likelyScale() {
        if (checks.stream().allMatch(c -> c.read().isEmpty())) {
            return Optional.empty();
        }
        return SCALES.stream().filter(s -> s != scale).filter(s -> checks.stream().allMatch(c -> c.agrees(s).orElse(true))).findFirst();
    }

    /** What its size alone says about the unit: parts of machines are between 15 mm and 1.2 m (common practice). */
    public Optional<String> unitDoubt() {
        double longest = Math.max(size.x(), Math.max(size.y(), size.z()));
        if (longest * scale < 15 && longest * 25.4 < 1200 && scale != 25.4) {
            return Optional.of("Its longest side is " + Quantity.mm(longest * scale) + ": was it drawn in inches? Then it is "
                    + Quantity.mm(longest * 25.4) + ".");
        }
        if (longest * scale > 1200 && scale != 1) {
            return Optional.of("Its longest side is " + Quantity.mm(longest * scale) + ": is the file in mm after all? Then it is "
                    + Quantity.mm(longest) + ".");
        }
        return Optional.empty();
    }

    /** What a unit is called, by its mm. */
    public static String unitName(double scale) {
        return scale == 1 ? "mm" : scale == 10 ? "cm" : scale == 25.4 ? "inches" : "m";
    }
}
