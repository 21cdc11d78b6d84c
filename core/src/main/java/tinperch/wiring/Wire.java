package tinperch.wiring;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Table;
import tinperch.quantity.Unit;

/**
 * A copper wire, there and back.
 *
 * @param lengthMm one way, mm
 * @param areaMm2 of its copper, mm²
 */
public record Wire(double lengthMm, double areaMm2) {
    /** Copper at 20 °C, Ω·mm²/mm: 1.724e-8 Ω·m (IEC 60028, annealed copper). */
    private static final double OHM_MM = 1.724e-5;
    private static final double MOST_MM2 = 120;
    private static final double MOST_MM = 1e5;
    private static final Pattern BOTH = Pattern.compile("(.+?)\\s*(?:\\bof\\b|[,;]\\s)\\s*(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern GAUGE = Pattern.compile("AWG\\s*(\\d{1,2})", Pattern.CASE_INSENSITIVE);
    private static final Pattern AREA = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(?:mm²|mm2|qmm)?", Pattern.CASE_INSENSITIVE);

    /**
     * A gauge as it is sold, a row of {@code wires.csv}.
     *
     * @param carriesA what a single wire in free air is usually trusted with, A (common practice, values from memory)
     */
    public record Gauge(int awg, double carriesA) {
        public static final List<Gauge> ALL = Table.read(Gauge.class, "wires.csv", Gauge.class);

        /** Of its copper, mm². */
        public double areaMm2() {
            return Wire.areaMm2(awg);
        }
    }

    /** Copper of a gauge, mm²: its diameter is 0.127·92^((36 − n)/39) mm (ASTM B258). */
    public static double areaMm2(int awg) {
        double d = 0.127 * Math.pow(92, (36 - awg) / 39.0);
        return Math.PI * d * d / 4;
    }

    /**
     * Copper a person says in words: “AWG 26”, “0.25 mm²”, mm².
     *
     * @throws QuantityException when it is neither, or none that is wired with
     */
    public static double parse(String text) {
        String said = text.strip();
        Matcher gauge = GAUGE.matcher(said);
        Matcher area = AREA.matcher(said);
        double mm2 = gauge.matches() ? areaMm2(Integer.parseInt(gauge.group(1))) : area.matches() ? Double.parseDouble(area.group(1).replace(',', '.')) : Double.NaN;
        if (!(mm2 > 0 && mm2 <= MOST_MM2)) {
            throw new QuantityException("“" + said + "” is no wire; write its gauge, such as AWG 22, or its copper, such as 0.25 mm². The old one stays.");
        }
        return mm2;
    }

    /**
     * A wire in words: “1.2 m of AWG 26”, “300 mm, 0,25 mm²”.
     *
     * @throws QuantityException when it is not said so
     */
    public static Wire said(String text) {
        Matcher both = BOTH.matcher(text.strip());
        if (!both.matches()) {
            throw new QuantityException("“" + text.strip() + "” is no wire; write its length one way and its gauge or copper, such as 1.2 m of AWG 24. The old one stays.");
        }
        double mm = Quantity.parse(both.group(1), Unit.MM);
        if (!(mm > 0 && mm <= MOST_MM)) {
            throw new QuantityException("A wire is longer than 0 mm and shorter than 100 m; the old one stays.");
        }
        return new Wire(mm, parse(both.group(2)));
    }

    /** As a person would say it: “1.2 m of AWG 26”. */
    public String words() {
        return (lengthMm < 1000 ? Quantity.mm(lengthMm) : Quantity.fixed(lengthMm / 1000, 3).replaceAll("\\.?0+$", "") + " m") + " of " + words(areaMm2).replaceAll(" \\(.*", "");
    }

    /** "AWG 26 (0.13 mm²)", or the copper alone where no gauge has it. */
    public static String words(double areaMm2) {
        String mm2 = Quantity.fixed(areaMm2, areaMm2 < 1 ? 2 : 1) + " mm²";
        return Gauge.ALL.stream().filter(g -> Math.abs(g.areaMm2() - areaMm2) < 0.02 * areaMm2).findFirst().map(g -> String.format(Locale.ROOT, "AWG %d (%s)", g.awg, mm2)).orElse(mm2);
    }

    /** Of both wires together, Ω. */
    public double ohm() {
        return OHM_MM * 2 * lengthMm / areaMm2;
    }

    /** Volts that stay in it with a current, V. */
    public double dropV(double currentA) {
        return ohm() * currentA;
    }

    /** What it may carry, A: between gauges by their copper; below the thinnest and above the thickest in proportion. */
    public double carriesA() {
        List<Gauge> thin = Gauge.ALL.stream().sorted(Comparator.comparingDouble(Gauge::areaMm2)).toList();
        Gauge first = thin.get(0);
        if (areaMm2 <= first.areaMm2()) {
            return first.carriesA * areaMm2 / first.areaMm2();
        }
        for (int i = 1; i < thin.size(); i++) {
            Gauge a = thin.get(i - 1);
            Gauge b = thin.get(i);
            if (areaMm2 <= b.areaMm2()) {
                return a.carriesA + (b.carriesA - a.carriesA) * (areaMm2 - a.areaMm2()) / (b.areaMm2() - a.areaMm2());
            }
        }
        Gauge last = thin.get(thin.size() - 1);
        return last.carriesA * areaMm2 / last.areaMm2();
    }

    /** The thinnest gauge that carries a current over this length and lets no more than so many volts stay in it; empty where none does. */
    public Optional<Gauge> enough(double currentA, double mostV) {
        return Gauge.ALL.stream().sorted(Comparator.comparingDouble(Gauge::areaMm2)).filter(g -> g.carriesA >= currentA && new Wire(lengthMm, g.areaMm2()).dropV(currentA) <= mostV).findFirst();
    }
}
