package tinperch.desktop.look;

import java.util.function.IntUnaryOperator;
import tinperch.fact.HeatPictureFact;

/** Colours of temperatures: from the part's own at the room's towards the one hot colour, which begins where the material's limit is passed. */
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
