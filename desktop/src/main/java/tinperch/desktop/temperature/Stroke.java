package tinperch.desktop.temperature;

import tinperch.desktop.look.Palette;
import tinperch.trial.Channel;

/**
 * How a channel is drawn: what is endangered in the colour of heat, what heats in ink, what is only around it fainter.
 *
 * @param rgb its colour, {@code dash} of its line in the window's units, 0 for none
 */
record Stroke(int rgb, double dash, double width) {
    private static final int[] OTHERS = {0x7B5EA7, 0x8A6A1F, 0x3A6EA5, 0xA04668};
    private static final int[] OTHERS_DARK = {0xB79BE0, 0xD3B25A, 0x86B3E6, 0xE08CB0};

    /**
     * Of a channel.
     *
     * @param nth of its kind in the run, from 0
     * @param earlier whether it is of the run that is laid under
     */
    static Stroke of(Channel c, int nth, boolean earlier, Palette p) {
        int rgb = switch (c.kind()) {
            case SPOT, CONTACT -> Palette.rgb(p.hot());
            case HOT_END -> Palette.rgb(p.ink());
            case BED, DUTY -> Palette.rgb(p.accent());
            case ROOM, TARGET -> Palette.rgb(p.faint());
            default -> (p.dark() ? OTHERS_DARK : OTHERS)[nth % OTHERS.length];
        };
        double dash = earlier ? 5 : c.kind() == Channel.Kind.TARGET ? 2 : nth > 0 && c.kind() != Channel.Kind.OTHER ? 9 : 0;
        return new Stroke(rgb, dash, earlier ? 1 : c.kind().isEndangered() ? 1.8 : 1.3);
    }
}
