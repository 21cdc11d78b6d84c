package tinperch.solid.view;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

/** Ink on paper is conserved: its area is the line's. */
public class InkTest {
    private static final Ink.Pen FULL = new Ink.Pen(1.4, 1, 0);

    private static double inked(Ink ink) {
        return IntStream.of(ink.argb()).mapToDouble(p -> (p >>> 24) / 255.0).sum();
    }

    @Test
    public void aLineTakesAsMuchInkAsItIsLongTimesWide() {
        Random r = new Random(2);
        for (int i = 0; i < 300; i++) {
            Ink ink = new Ink(200, 160);
            double x0 = 20 + 160 * r.nextDouble();
            double y0 = 20 + 120 * r.nextDouble();
            double x1 = 20 + 160 * r.nextDouble();
            double y1 = 20 + 120 * r.nextDouble();
            double length = Math.hypot(x1 - x0, y1 - y0);
            ink.line(x0, y0, x1, y1, FULL);
            ink.layer(0x102030);
            // Ends stand out by half a width.
            assertEquals(inked(ink), 1.4 * (length + 1.4), 0.06 * 1.4 * (length + 1.4) + 0.8, "from " + x0 + ", " + y0 + " to " + x1 + ", " + y1);
        }
    }

    @Test
    public void aCircleOfManyPiecesIsNoDarkerWhereTheyMeet() {
        Ink ink = new Ink(120, 120);
        List<HiddenLines.Piece> circle = new ArrayList<>();
        for (int k = 0; k < 48; k++) {
            double a = 2 * Math.PI * k / 48;
            double b = 2 * Math.PI * (k + 1) / 48;
            circle.add(new HiddenLines.Piece(10 * Math.cos(a), 10 * Math.sin(a), 10 * Math.cos(b), 10 * Math.sin(b), true));
        }
        ink.lines(circle, true, 60, 60, 4, new Ink.Pen(1, 0.5, 0));
        ink.layer(0xFFFFFF);
        int darkest = IntStream.of(ink.argb()).map(p -> p >>> 24).max().orElseThrow();
        assertTrue(darkest <= 128, "crossing ink adds up to " + darkest);
        assertEquals(inked(ink), 0.5 * 2 * Math.PI * 40, 0.06 * Math.PI * 40);
        ink.lines(circle, false, 60, 60, 4, FULL);
        double before = inked(ink);
        ink.layer(0);
        assertEquals(inked(ink), before, "the hidden ones are others");
    }

    @Test
    public void halfOfADashedLineIsLeftOutAndDashesGoOnFromPieceToPiece() {
        Ink whole = new Ink(300, 20);
        whole.lines(List.of(new HiddenLines.Piece(10, 0, 250, 0, false)), false, 0, 10.5, 1, new Ink.Pen(1, 1, 3));
        whole.layer(0);
        assertEquals(inked(whole), 120, 12);
        Ink pieces = new Ink(300, 20);
        List<HiddenLines.Piece> cut = new ArrayList<>();
        for (int x = 10; x < 250; x += 2) {
            cut.add(new HiddenLines.Piece(x, 0, x + 2, 0, false));
        }
        pieces.lines(cut, false, 0, 10.5, 1, new Ink.Pen(1, 1, 3));
        pieces.layer(0);
        assertEquals(inked(pieces), inked(whole), 20, "a line cut in pieces shorter than a dash is still dashed");
    }

    @Test
    public void colourIsPremultipliedAndLaterLayersLieOver() {
        Ink ink = new Ink(9, 9);
        ink.line(0, 4.5, 9, 4.5, new Ink.Pen(3, 1, 0));
        ink.layer(0x336699);
        assertEquals(ink.argb()[4 * 9 + 4], 0xFF336699);
        ink.line(4.5, 0, 4.5, 9, new Ink.Pen(3, 0.5, 0));
        ink.layer(0xFF0000);
        int mixed = ink.argb()[4 * 9 + 4];
        assertEquals(mixed >>> 24, 0xFF);
        assertEquals(mixed >> 16 & 0xFF, (0x33 + 0xFF) / 2, 1);
        assertEquals(mixed & 0xFF, 0x99 / 2, 1);
        int alone = ink.argb()[4];
        assertEquals(alone >>> 24, 128, 1);
        assertEquals(alone >> 16 & 0xFF, 128, 1);
        ink.clear();
        assertEquals(inked(ink), 0.0);
    }

    @Test
    public void whatIsOffThePaperOrNoLineAtAllDrawsNothing() {
        Ink ink = new Ink(20, 20);
        ink.line(-500, -500, -30, -40, FULL);
        ink.line(5, 5, 5, 5, FULL);
        ink.line(Double.NaN, 0, 10, 10, FULL);
        ink.line(Double.POSITIVE_INFINITY, 0, 10, 10, FULL);
        ink.layer(0);
        assertEquals(inked(ink), 0.0);
        // One that only passes through is drawn where it does.
        ink.line(-1000, 10, 1000, 10, new Ink.Pen(1, 1, 0));
        ink.layer(0);
        assertEquals(inked(ink), 20, 0.5);
    }
}
