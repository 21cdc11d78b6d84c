package tinperch.files.gcode;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.files.FileFault;
import tinperch.files.model.Stopped;
import tinperch.printing.MoveTime;

/** Prints read move by move. */
public class GcodeTimeTest {
    private static GcodeTime.Read read(String text) throws IOException {
        return GcodeTime.of(new ByteArrayInputStream(text.getBytes(StandardCharsets.ISO_8859_1)), 1000, share -> true);
    }

    @Test
    public void movesInEveryManner() throws IOException {
        double side = MoveTime.trapezoidS(30, 60, 1000);
        assertEquals(read("G90\nM83\nG1 X30 F3600\nG1 X0\n").seconds(), 2 * side, 1e-9);
        assertEquals(read("g91\ng1x30f3600 ; there\nG1 X-30 (and back)\n").seconds(), 2 * side, 1e-9, "no blanks, small letters, comments");
        assertEquals(read("G20\nG1 X" + 30 / 25.4 + " F" + 3600 / 25.4 + "\nG1 X0").seconds(), 2 * side, 1e-6, "inches");
        assertEquals(read("N10 G1 X30 F3600*71\nN20 G92 X0\nN30 G1 X-30*12\nG4 P500\nG4 S2\n").seconds(), 2 * side + 2.5, 1e-9, "numbered, a position set, dwells");
        GcodeTime.Read fed = read("M82\nG1 X30 E3 F3600\nG1 X0 E5\nG92 E0\nM83\nG1 E-1\n");
        assertEquals(fed.filamentMm(), 4, 1e-9);
        assertEquals(fed.moves(), 3);
    }

    /** A circle of radius 10 at 20 mm/s, slow enough to be gone round: its length over its speed, and the ramps. */
    @Test
    public void arcsAreGoneRound() throws IOException {
        double around = 2 * Math.PI * 10 / 20 + 20.0 / 1000;
        assertEquals(read("G2 X0 Y0 I10 J0 F1200\n").seconds(), around, 0.02);
        assertEquals(read("G3 X20 Y0 I10 J0 F1200\n").seconds(), around / 2, 0.02);
    }

    @Test
    public void brokenAndHostileFilesAreSaid() throws IOException {
        FileFault f = expectThrows(FileFault.class, () -> read("a poem\nof no moves\n"));
        assertTrue(f.getMessage().contains("no move"), f.getMessage());
        expectThrows(FileFault.class, () -> read(""));
        assertEquals(read("G1 X10 F600\nG1 Xabc\nG1 X99999999\nG1 X\nG1 X20\n").strange(), 3);
        Random dice = new Random(12);
        for (int k = 0; k < 3000; k++) {
            byte[] bytes = "G1 X10 Y5 E0.2 F1800\nG1 X12.5 Y7\nG2 X1 Y1 I3 J3\nG92 E0\nG4 P10\nM83\nG91\n".getBytes(StandardCharsets.ISO_8859_1);
            for (int i = 0; i < 1 + dice.nextInt(12); i++) {
                bytes[dice.nextInt(bytes.length)] = (byte) dice.nextInt(256);
            }
            try {
                GcodeTime.Read r = GcodeTime.of(new ByteArrayInputStream(bytes), 1000, share -> true);
                assertTrue(Double.isFinite(r.seconds()) && r.seconds() >= 0);
            } catch (FileFault e) {
                assertTrue(e.getMessage().contains("no move"), e.getMessage());
            }
        }
        expectThrows(Stopped.class, () -> GcodeTime.of(new ByteArrayInputStream("G1 X1\n".getBytes(StandardCharsets.ISO_8859_1)), 1000, share -> false));
    }
}
