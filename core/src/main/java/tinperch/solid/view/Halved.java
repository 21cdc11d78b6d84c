package tinperch.solid.view;

import tinperch.solid.kernel.Hands;

/** A picture made half as large: each pixel is the average of four, so that edges drawn twice as large come out smooth. */
public final class Halved {
    private static final int BANDS = 2;

    private Halved() {}

    /**
     * Halves a picture.
     *
     * @param argb premultiplied, row by row, of even width and height
     * @param to takes the picture, a quarter as many pixels
     */
    public static void of(int[] argb, int width, int height, int[] to, Hands hands) {
        int w = width / 2;
        int h = height / 2;
        hands.each(BANDS, band -> {
            for (int y = h * band / BANDS; y < h * (band + 1) / BANDS; y++) {
                int from = 2 * y * width;
                for (int x = 0; x < w; x++, from += 2) {
                    int a = argb[from];
                    int b = argb[from + 1];
                    int c = argb[from + width];
                    int d = argb[from + width + 1];
                    // Two channels at a time; the sums of four have room between them.
                    int odd = (a >>> 8 & 0xFF00FF) + (b >>> 8 & 0xFF00FF) + (c >>> 8 & 0xFF00FF) + (d >>> 8 & 0xFF00FF) + 0x20002;
                    int even = (a & 0xFF00FF) + (b & 0xFF00FF) + (c & 0xFF00FF) + (d & 0xFF00FF) + 0x20002;
                    to[y * w + x] = (odd >>> 2 & 0xFF00FF) << 8 | even >>> 2 & 0xFF00FF;
                }
            }
        });
    }
}
