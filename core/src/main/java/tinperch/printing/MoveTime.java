package tinperch.printing;

import java.util.ArrayList;
import java.util.List;

/**
 * Time of straight moves one after the other, each sped up and slowed down at one acceleration: s/v + v/a for a move that reaches its speed, 2√(s/a) for one that does not (trapezoid); round a
 * corner it goes as fast as an arc that leaves it by 0.05 mm allows, v² = a·r, r = ε·sin(φ/2)/(1 − sin(φ/2)) with φ the angle between the ways (plane geometry; the deviation is from memory).
 */
public final class MoveTime {
    private static final double LEAVES_MM = 0.05;
    /** So many moves are looked ahead. */
    private static final int AHEAD = 400;

    private final double accelMmS2;
    private final List<Move> open = new ArrayList<>();
    private double enteredMmS;
    private double seconds;

    /**
     * @param mm its length
     * @param x direction, unit; zero for one that only feeds
     * @param speed wanted, mm/s
     * @param corner the most it may begin with, from the move before
     */
    private record Move(double mm, double x, double y, double z, double speed, double corner) {}

    /**
     * One machine's.
     *
     * @param accelMmS2 mm/s², more than 0
     */
    public MoveTime(double accelMmS2) {
        if (!(accelMmS2 > 0)) {
            throw new IllegalArgumentException("An acceleration is more than 0.");
        }
        this.accelMmS2 = accelMmS2;
    }

    /** Time of one move from rest to rest, s. */
    public static double trapezoidS(double mm, double mmS, double accelMmS2) {
        return mm >= mmS * mmS / accelMmS2 ? mm / mmS + mmS / accelMmS2 : 2 * Math.sqrt(mm / accelMmS2);
    }

    /**
     * A move of the head.
     *
     * @param feedMm of filament while it does; counts as the length where the head stands
     * @param mmS speed
     */
    public void move(double dx, double dy, double dz, double feedMm, double mmS) {
        double mm = Math.sqrt(dx * dx + dy * dy + dz * dz);
        double length = mm > 1e-9 ? mm : Math.abs(feedMm);
        if (length < 1e-9 || !(mmS > 0)) {
            return;
        }
        Move m = mm > 1e-9 ? new Move(mm, dx / mm, dy / mm, dz / mm, mmS, 0) : new Move(length, 0, 0, 0, mmS, 0);
        double corner = open.isEmpty() ? enteredMmS : corner(open.get(open.size() - 1), m);
        open.add(new Move(m.mm, m.x, m.y, m.z, m.speed, corner));
        if (open.size() >= 2 * AHEAD) {
            settle(AHEAD);
        }
    }

    /** Stands still. */
    public void dwell(double s) {
        settle(open.size());
        seconds += Math.max(0, s);
    }

    private double corner(Move a, Move b) {
        double cos = a.x * b.x + a.y * b.y + a.z * b.z;
        boolean still = a.x == 0 && a.y == 0 && a.z == 0 || b.x == 0 && b.y == 0 && b.z == 0;
        if (still || cos < -0.999999) {
            return 0;
        }
        double most = Math.min(a.speed, b.speed);
        if (cos > 0.999999) {
            return most;
        }
        // Half the angle between the ways: straight on is 90°.
        double half = Math.sqrt((1 + cos) / 2);
        return Math.min(most, Math.sqrt(accelMmS2 * LEAVES_MM * half / (1 - half)));
    }

    /** Fixes the speeds of the first moves: what comes after them is known to its end or far enough. */
    private void settle(int count) {
        int n = open.size();
        double[] enter = new double[n + 1];
        for (int i = n - 1; i >= 0; i--) {
            Move m = open.get(i);
            enter[i] = Math.min(Math.min(m.corner, m.speed), Math.sqrt(enter[i + 1] * enter[i + 1] + 2 * accelMmS2 * m.mm));
        }
        if (n > 0) {
            enter[0] = Math.min(enter[0], enteredMmS);
        }
        for (int i = 0; i < count; i++) {
            Move m = open.get(i);
            double leave = Math.min(enter[i + 1], Math.sqrt(enter[i] * enter[i] + 2 * accelMmS2 * m.mm));
            enter[i + 1] = leave;
            double top = Math.min(m.speed, Math.sqrt((2 * accelMmS2 * m.mm + enter[i] * enter[i] + leave * leave) / 2));
            double ramps = (top * top - enter[i] * enter[i] + top * top - leave * leave) / (2 * accelMmS2);
            seconds += (2 * top - enter[i] - leave) / accelMmS2 + Math.max(0, m.mm - ramps) / top;
        }
        enteredMmS = count > 0 ? enter[count] : enteredMmS;
        open.subList(0, count).clear();
        if (!open.isEmpty()) {
            Move m = open.get(0);
            open.set(0, new Move(m.mm, m.x, m.y, m.z, m.speed, Math.max(m.corner, enteredMmS)));
        } else {
            enteredMmS = 0;
        }
    }

    /** All so far, coming to rest at its end, s. */
    public double seconds() {
        settle(open.size());
        return seconds;
    }
}
