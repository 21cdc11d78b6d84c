package tinperch.workshop.store;

import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32C;

/** The sum written with every row, so that a bit that fell over is noticed instead of believed. */
final class Sums {
    private Sums() {}

    /** Of all that makes a row what it is. */
    static String of(Object... columns) {
        CRC32C crc = new CRC32C();
        for (Object c : columns) {
            crc.update(String.valueOf(c).getBytes(StandardCharsets.UTF_8));
            crc.update(0);
        }
        return Long.toHexString(crc.getValue());
    }

    /** Whether a row adds up; one written before sums were has none. */
    static boolean isSound(String sum, Object... columns) {
        return sum == null || sum.isEmpty() || sum.equals(of(columns));
    }
}
