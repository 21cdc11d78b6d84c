package tinperch.desktop.look;

import java.util.function.IntUnaryOperator;
import tinperch.fact.HeatPictureFact;
import tinperch.fact.LoadPictureFact;

/** Colours of what has a limit, temperatures and loads: from the part's own towards the one hot colour, which begins where the limit is passed. */
public final class HeatColours {
    /** Just below the limit it is this share of the way to hot; the step at the limit is seen. */
    private static final double BELOW = 0.55;
    /** So far above the limit it is as dark as it gets, K. */
    private static final double DARKEST_ABOVE_KELVIN = 40;

    private HeatColours() {}

    /** Of a picture's faces. */
    public static IntUnaryOperator of(HeatPictureFact.Picture heat, double limitC, Palette p) {
        return face -> face < heat.faces().size() ? heat.faces().get(face).patch().map(q -> at(q.tempC(), heat.roomC(), limitC, p)).orElse(-1) : -1;
    }

    /** Of what its sections bear, in per cent of what they may; the weakest is lit where it bears all it has to. */
    public static IntUnaryOperator of(LoadPictureFact.Picture load, Palette p) {
        double worst = load.worst();
        return face -> {
            double share = face < load.shares().size() ? load.shares().get(face) : Double.NaN;
            return Double.isNaN(share) ? -1 : share == worst && worst <= 1 ? Palette.rgb(p.lit()) : at(100 * share, 0, 100, p);
        };
    }

    /** Of a temperature, 0xRRGGBB. */
    public static int at(double tempC, double roomC, double limitC, Palette p) {
        int cool = Palette.rgb(p.part());
        int hot = Palette.rgb(p.hot());
        if (tempC <= limitC) {
            return mix(cool, hot, BELOW * Math.max(0, Math.min(1, (tempC - roomC) / Math.max(1, limitC - roomC))));
        }
        return mix(hot, p.dark() ? 0xFFE0C0 : 0x4A1002, 0.6 * Math.min(1, (tempC - limitC) / DARKEST_ABOVE_KELVIN));
    }

    private static int mix(int a, int b, double f) {
        int out = 0;
        for (int s = 0; s <= 16; s += 8) {
            out |= (int) Math.round((a >> s & 255) * (1 - f) + (b >> s & 255) * f) << s;
        }
        return out;
    }
}
