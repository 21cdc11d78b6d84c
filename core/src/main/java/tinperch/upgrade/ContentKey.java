package tinperch.upgrade;

import java.lang.reflect.RecordComponent;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collection;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What something holds, as one number: SHA-256 over its canonical form. Equal contents have the same key on any machine and any day;
 * whatever differs has another. Records, lists, maps with words for keys, numbers, words, days and choices have a canonical form.
 *
 * @param hex 64 hexadecimal digits
 */
public record ContentKey(String hex) {
    /** Raised whenever this version would answer otherwise than the one before for the same case. */
    public static final int ENGINE = 15;

    /**
     * The key of a value.
     *
     * @throws IllegalArgumentException when something in it has no canonical form
     */
    public static ContentKey of(Object value) {
        try {
            MessageDigest sum = MessageDigest.getInstance("SHA-256");
            take(sum, value);
            return new ContentKey(HexFormat.of().formatHex(sum.digest()));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    private static void take(MessageDigest sum, Object v) {
        if (v == null) {
            sum.update((byte) 'n');
        } else if (v instanceof Double || v instanceof Float) {
            // The two zeros are one number.
            number(sum, 'd', Double.doubleToLongBits(((Number) v).doubleValue() + 0.0));
        } else if (v instanceof Number n) {
            number(sum, 'i', n.longValue());
        } else if (v instanceof Enum<?> e) {
            word(sum, 'e', e.getDeclaringClass().getSimpleName() + "." + e.name());
        } else if (v instanceof CharSequence || v instanceof Boolean || v instanceof java.time.temporal.Temporal) {
            word(sum, 's', v.toString());
        } else if (v instanceof Optional<?> o) {
            sum.update((byte) 'o');
            take(sum, o.orElse(null));
        } else if (v instanceof Collection<?> c) {
            number(sum, 'l', c.size());
            c.forEach(x -> take(sum, x));
        } else if (v instanceof Map<?, ?> m) {
            number(sum, 'm', m.size());
            Map<String, Object> sorted = new TreeMap<>();
            m.forEach((k, x) -> sorted.put(String.valueOf(k), x));
            sorted.forEach((k, x) -> {
                word(sum, 'k', k);
                take(sum, x);
            });
        } else if (v instanceof Record r) {
            record(sum, r);
        } else {
            throw new IllegalArgumentException(v.getClass().getName() + " has no canonical form.");
        }
    }

    private static void record(MessageDigest sum, Record r) {
        word(sum, 'r', r.getClass().getSimpleName());
        for (RecordComponent c : r.getClass().getRecordComponents()) {
            word(sum, 'c', c.getName());
            try {
                java.lang.reflect.Method m = c.getAccessor();
                m.setAccessible(true);
                take(sum, m.invoke(r));
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException("A record gives its own components", e);
            }
        }
    }

    private static void word(MessageDigest sum, char kind, String s) {
        byte[] utf = s.getBytes(StandardCharsets.UTF_8);
        number(sum, kind, utf.length);
        sum.update(utf);
    }

    private static void number(MessageDigest sum, char kind, long v) {
        sum.update(ByteBuffer.allocate(9).put((byte) kind).putLong(v).array());
    }
}
