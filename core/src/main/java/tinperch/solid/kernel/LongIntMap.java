package tinperch.solid.kernel;

import java.util.Arrays;

/** An insertion-only map from non-negative longs to ints; far lighter than boxed maps in the kernel's inner loops. */
final class LongIntMap {
    static final int ABSENT = -1;

    private long[] keys;
    private int[] values;
    private int count;

    LongIntMap(int expected) {
        int cap = Integer.highestOneBit(Math.max(8, expected) * 2) * 2;
        keys = new long[cap];
        Arrays.fill(keys, -1);
        values = new int[cap];
    }

    static long pair(int a, int b) {
        return (long) a << 32 | b;
    }

    int get(long key) {
        int i = slot(key);
        return keys[i] == key ? values[i] : ABSENT;
    }

    void put(long key, int value) {
        int i = slot(key);
        if (keys[i] != key) {
            keys[i] = key;
            if (++count * 2 > keys.length) {
                values[i] = value;
                grow();
                return;
            }
        }
        values[i] = value;
    }

    private int slot(long key) {
        long h = key * 0x9E3779B97F4A7C15L;
        h ^= h >>> 32;
        int i = (int) h & keys.length - 1;
        while (keys[i] != -1 && keys[i] != key) {
            i = i + 1 & keys.length - 1;
        }
        return i;
    }

    private void grow() {
        long[] oldKeys = keys;
        int[] oldValues = values;
        keys = new long[oldKeys.length * 2];
        Arrays.fill(keys, -1);
        values = new int[keys.length];
        for (int i = 0; i < oldKeys.length; i++) {
            if (oldKeys[i] != -1) {
                int s = slot(oldKeys[i]);
                keys[s] = oldKeys[i];
                values[s] = oldValues[i];
            }
        }
    }
}
