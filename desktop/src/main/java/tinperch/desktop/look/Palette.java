package tinperch.desktop.look;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import javafx.scene.paint.Color;

/**
 * The colours, once, for style sheets and for what is drawn by hand. One accent; {@code hot} is kept for heat.
 *
 * @param paper behind everything, {@code sheet} working surfaces, {@code shelf} the shelf at the left
 * @param ink text, {@code faint} secondary text (at least 4.5 : 1 on paper), {@code line} rules
 * @param part body of a drawn part, {@code lit} a feature lit up, {@code cut} a cut face
 */
public record Palette(boolean dark, String paper, String sheet, String shelf, String shelfInk, String shelfFaint,
        String shelfCard, String ink, String faint, String line, String accent, String onAccent, String tint, String hot,
        String part, String lit, String cut) {
    public static final Palette LIGHT = new Palette(false, "#F3F1EA", "#FDFCF9", "#1F3238", "#F2EFE6", "#A9BABB",
            "#2C434A", "#1D282C", "#56646A", "#D8D3C6", "#0B6A66", "#FFFFFF", "#DCEAE6", "#BF3A10", "#CFC8B6", "#3F9C93", "#C7A36A");
    public static final Palette DARK = new Palette(true, "#15191B", "#1D2325", "#0D1113", "#EDEAE1", "#94A5A7",
            "#1C282C", "#EAE7DE", "#A4B0B1", "#374244", "#58C4B6", "#0E1A19", "#20393A", "#FF8152",
            "#8C8778", "#58C4B6", "#A6874F");

    /** Colour of words and lines. */
    public Color inkColour() {
        return Color.web(ink);
    }

    /** Colour of what matters less. */
    public Color faintColour() {
        return Color.web(faint);
    }

    /** Colour of thin rules. */
    public Color lineColour() {
        return Color.web(line);
    }

    /** The one accent. */
    public Color accentColour() {
        return Color.web(accent);
    }

    /** Colour of what one draws and writes on. */
    public Color sheetColour() {
        return Color.web(sheet);
    }

    /** A wash of the accent. */
    public Color tintColour() {
        return Color.web(tint);
    }

    /** 0xRRGGBB of a colour text. */
    public static int rgb(String web) {
        return Integer.parseInt(web.substring(1), 16);
    }

    /** The colours as a style sheet address, usable by windows and pop-ups alike. */
    String asStylesheet() {
        String css = ".root{-tp-paper:" + paper + ";-tp-sheet:" + sheet + ";-tp-shelf:" + shelf + ";-tp-shelf-ink:" + shelfInk
                + ";-tp-shelf-faint:" + shelfFaint + ";-tp-shelf-card:" + shelfCard + ";-tp-ink:" + ink + ";-tp-faint:" + faint
                + ";-tp-line:" + line + ";-tp-accent:" + accent + ";-tp-on-accent:" + onAccent + ";-tp-tint:" + tint
                + ";-tp-hot:" + hot + ";}";
        return "data:text/css;base64," + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8));
    }
}
