package tinperch.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class AmountTest {
    @DataProvider
    public Object[][] typed() {
        return new Object[][] {{"1,4 mm", 1.4, "mm", "1.4 mm"}, {"35mm", 35, "mm", "35 mm"}, {" 3 stops a month ", 3, "stops a month", "3 stops a month"},
            {"−0.25 °C", -0.25, "°C", "-0.25 °C"}, {"7", 7, "", "7"}};
    }

    @Test(dataProvider = "typed")
    public void aNumberWithAnyUnitIsRead(String text, double value, String unit, String shown) {
        Amount a = Amount.of(text).orElseThrow();
        assertEquals(a.value(), value);
        assertEquals(a.unit(), unit);
        assertEquals(a.toString(), shown);
        assertEquals(Amount.of(shown), Amount.of(text), "what is shown is read again");
    }

    @Test
    public void wordsAreNoAmount() {
        for (String s : new String[] {"strong", "", null, "mm 3", "1.2.3 mm", "9".repeat(400), "12 " + "x".repeat(50), "1,\n4"}) {
            assertTrue(Amount.of(s).isEmpty(), String.valueOf(s));
        }
    }

    @Test
    public void twoAreComparedInTheSameUnitOnly() {
        assertEquals(Amount.of("0,9 mm").orElseThrow().timesThatOf(Amount.of("1.8 MM").orElseThrow()).orElseThrow(), 0.5, 1e-12);
        assertTrue(Amount.of("9 s").orElseThrow().timesThatOf(Amount.of("1.8 mm").orElseThrow()).isEmpty());
        assertTrue(Amount.of("9 mm").orElseThrow().timesThatOf(Amount.of("0 mm").orElseThrow()).isEmpty());
    }
}
