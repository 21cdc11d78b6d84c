package tinperch.machine.frame;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.space.Neighbour;

/** Sizes offered while a name is typed. */
public class UsualBodyTest {
    private static List<Double> size(String typed) {
        return UsualBody.named(typed).orElseThrow().sizeMm();
    }

    @Test
    public void aNameSaysWhatItsUsualSizeIs() {
        assertEquals(size("radial fan 40×10"), List.of(40.0, 10.0, 40.0));
        assertEquals(size("Part fan 40x20"), List.of(40.0, 20.0, 40.0));
        assertEquals(size("fan 120"), List.of(120.0, 25.0, 120.0));
        // NEMA ICS 16: a face of 42.3 mm for size 17, 56.4 mm for size 23 (values from memory).
        assertEquals(size("x motor 17").get(0), 42.3);
        assertEquals(size("motor 23").get(0), 56.4);
        assertEquals(size("left rod 8"), List.of(8.0, 8.0, 400.0));
        assertEquals(UsualBody.named("profile 20 × 40").orElseThrow().form(), Neighbour.Form.PROFILE);
        assertEquals(size("bearing 608"), List.of(22.0, 22.0, 7.0), "ISO 15");
    }

    @Test
    public void whatTheTableDoesNotKnowIsNotOffered() {
        for (String s : List.of("", "4", "40 10", "hot block", "fa", "fantastic bracket", "  ", "×")) {
            assertEquals(UsualBody.named(s), Optional.empty(), s);
        }
    }
}
