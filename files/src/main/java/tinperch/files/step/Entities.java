package tinperch.files.step;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import tinperch.solid.Vec3;

/** The numbered lines of a file's data section, and how numbers and words are written in them. */
final class Entities {
    /** Seven decimals are too coarse for strict readers. */
    private static final int DECIMALS = 9;

    private final Appendable out;
    private int last;

    Entities(Appendable out) {
        this.out = out;
    }

    /** Writes an entity and answers its reference, "#12". */
    String add(String entity) {
        last++;
        try {
            out.append('#').append(Integer.toString(last)).append('=').append(entity).append(";\n");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return "#" + last;
    }

    String point(Vec3 p) {
        return add("CARTESIAN_POINT(''," + triple(p) + ")");
    }

    String direction(Vec3 d) {
        return add("DIRECTION('',(" + exact(d.x()) + "," + exact(d.y()) + "," + exact(d.z()) + "))");
    }

    String place(Vec3 origin, Vec3 z, Vec3 x) {
        return add("AXIS2_PLACEMENT_3D(''," + point(origin) + "," + direction(z) + "," + direction(x) + ")");
    }

    private static String triple(Vec3 p) {
        return "(" + real(p.x()) + "," + real(p.y()) + "," + real(p.z()) + ")";
    }

    /** A coordinate as it will be read. */
    static Vec3 rounded(Vec3 p) {
        return new Vec3(Double.parseDouble(real(p.x())), Double.parseDouble(real(p.y())), Double.parseDouble(real(p.z())));
    }

    /** A length; reals have a point. */
    static String real(double mm) {
        String s = BigDecimal.valueOf(mm).setScale(DECIMALS, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
        return s.indexOf('.') < 0 ? s + "." : s;
    }

    private static String exact(double v) {
        String s = new BigDecimal(v).setScale(16, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
        return s.indexOf('.') < 0 ? s + "." : s;
    }

    /** A word in quotes: what is not plain ASCII is escaped (ISO 10303-21, 6.4.3). */
    static String text(String s) {
        StringBuilder b = new StringBuilder("'");
        boolean wide = false;
        for (char c : s.toCharArray()) {
            boolean plain = c >= 0x20 && c <= 0x7E;
            if (plain && wide) {
                b.append("\\X0\\");
            }
            if (plain) {
                b.append(c == '\'' ? "''" : c == '\\' ? "\\\\" : String.valueOf(c));
            } else {
                b.append(wide ? "" : "\\X2\\").append(String.format("%04X", (int) c));
            }
            wide = !plain;
        }
        return b.append(wide ? "\\X0\\'" : "'").toString();
    }
}
