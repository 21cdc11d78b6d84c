package tinperch.heat;

import tinperch.solid.Vec3;

/**
 * A screw or a stud that leaves something hot and leads its heat into a solid. It is a fin: T(x) = T₀ + (T_hot − T₀)·cosh(m(L − x))/cosh(mL) with m = √(G/kA), where G is what the plastic round it takes for each mm of its
 * length, 2πk/ln(r₂/r₁) (handbook: heat through the wall of a pipe).
 *
 * @param from where it leaves the hot thing, {@code to} its other end
 * @param tempC of the hot thing
 * @param radiusMm of its shank, {@code areaMm2} that carries the heat: the thread's stress area
 */
public record Bridge(Vec3 from, Vec3 to, double tempC, double radiusMm, double areaMm2) {
    /** Plain steel, W/mmK (value from memory: 50 W/mK; stainless 16). */
    private static final double STEEL_WMMK = 0.05;
    /** So many radii away the plastic is what it would be without it. */
    private static final double FAR_RADII = 4;

    /** From the hot thing to its other end, mm. */
    public double lengthMm() {
        return to.minus(from).length();
    }

    /** What plastic takes from a mm of it, W/mmK, out to a distance from its axis. */
    double takesWmmK(double plasticWmmK, double outMm) {
        return 2 * Math.PI * plasticWmmK / Math.log(outMm / radiusMm);
    }

    /** How warm it is so far from the hot thing, in plastic that is otherwise at a temperature, °C. */
    public double tempC(double xMm, double plasticWmmK, double elsewhereC) {
        double m = Math.sqrt(takesWmmK(plasticWmmK, FAR_RADII * radiusMm) / (STEEL_WMMK * areaMm2));
        double l = lengthMm();
        return elsewhereC + (tempC - elsewhereC) * Math.cosh(m * (l - Math.min(xMm, l))) / Math.cosh(m * l);
    }
}
