package tinperch.quantity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class QuantityTest {
    @DataProvider
    public Object[][] lengths() {
        return new Object[][] {
            {"12", 12}, {"12.5", 12.5}, {"12,5", 12.5}, {" 12.5 mm ", 12.5}, {"-3", -3}, {"−3", -3}, {"+4", 4},
            // International inch: 25.4 mm exactly (ISO 80000-3).
            {"4 in", 101.6}, {"4in", 101.6}, {"3/8in", 9.525}, {"3/8 in", 9.525}, {"1 3/8 in", 34.925}, {"1/2\"", 12.7},
            {"2 cm", 20}, {"0.5 m", 500}, {"100 thou", 2.54}, {"1 ft", 304.8}, {"1/4", 0.25}, {".5", 0.5}, {"5.", 5},
            {"12,5 MM", 12.5}, {"0", 0},
        };
    }

    @Test(dataProvider = "lengths")
    public void readsLengths(String typed, double mm) {
        assertEquals(Quantity.parse(typed, Unit.MM), mm, 1e-9);
    }

    @Test
    public void readsTemperaturesInEitherScale() {
        // Water boils at 212 °F = 100 °C.
        assertEquals(Quantity.parse("212 °F", Unit.CELSIUS), 100, 1e-9);
        assertEquals(Quantity.parse("32F", Unit.CELSIUS), 0, 1e-9);
        assertEquals(Quantity.parse("-40 °F", Unit.CELSIUS), -40, 1e-9);
        assertEquals(Quantity.parse("65", Unit.CELSIUS), 65, 0);
        assertEquals(Quantity.parse("273.15 K", Unit.CELSIUS), 0, 1e-9);
    }

    @Test
    public void readsHoursAnglesAndMasses() {
        assertEquals(Quantity.parse("90 min", Unit.HOURS), 1.5, 1e-12);
        assertEquals(Quantity.parse("2 d", Unit.HOURS), 48, 0);
        assertEquals(Quantity.parse("1.5 kg", Unit.GRAM), 1500, 0);
        assertEquals(Quantity.parse("3.141592653589793 rad", Unit.DEG), 180, 1e-9);
        assertEquals(Quantity.parse("45°", Unit.DEG), 45, 0);
    }

    @DataProvider
    public Object[][] nonsense() {
        return new Object[][] {{"abc"}, {"twelve"}, {""}, {"  "}, {"12 stone"}, {"1e999x"}, {"--3"}, {"1.2.3"}, {"3/0"},
            {"."}, {"-"}, {"NaN"}, {"Infinity"}, {"12 °C"}, {"1/2/3"}, {"\u0000"}, {"12\n13"}};
    }

    @Test(dataProvider = "nonsense")
    public void refusesNonsenseWithASentence(String typed) {
        QuantityException e = expectThrows(QuantityException.class, () -> Quantity.parse(typed, Unit.MM));
        assertTrue(e.getMessage().length() > 12 && e.getMessage().endsWith("."), e.getMessage());
    }

    @Test
    public void saysWhatToTypeInstead() {
        QuantityException e = expectThrows(QuantityException.class, () -> Quantity.parse("abc", Unit.MM));
        assertEquals(e.getMessage(), "“abc” is not a number; type one such as 12.5, 12,5 or 1/2 in.");
    }

    @Test
    public void anyTextIsReadOrRefusedButNeverCrashes() {
        Random random = new Random(7);
        String alphabet = "0123456789.,-+/ inmcft\"°FK−x\u00A0\uD83D";
        for (int i = 0; i < 20_000; i++) {
            StringBuilder s = new StringBuilder();
            for (int k = random.nextInt(12); k >= 0; k--) {
                s.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            try {
                assertTrue(Double.isFinite(Quantity.parse(s.toString(), Unit.MM)), s.toString());
            } catch (QuantityException e) {
                assertTrue(e.getMessage().length() < 200);
            }
        }
    }

    @Test
    public void showsWithUnitAndWithoutUselessZeros() {
        assertEquals(Quantity.mm(8), "8 mm");
        assertEquals(Quantity.mm(12.50), "12.5 mm");
        assertEquals(Quantity.mm(0.347), "0.35 mm");
        assertEquals(Quantity.mm(-1.4), "−1.4 mm");
        assertEquals(Quantity.mm(-0.001), "0 mm");
        assertEquals(Quantity.mm(100), "100 mm");
        assertEquals(Quantity.show(45, Unit.DEG), "45°");
        assertEquals(Quantity.show(3, Unit.COUNT), "3");
        assertEquals(Quantity.fixed(2, 2), "2.00");
        assertEquals(Quantity.inches(12.7), "0.5 in");
    }

    @Test
    public void whatIsShownCanBeTypedBack() {
        Random random = new Random(3);
        for (int i = 0; i < 2000; i++) {
            double v = Math.round((random.nextDouble() - 0.5) * 40_000) / 100.0;
            assertEquals(Quantity.parse(Quantity.mm(v), Unit.MM), v, 1e-9);
        }
    }

    @Test
    public void lowersOnlyWordsInsideASentence() {
        assertEquals(Quantity.inSentence("Boss Ø"), "boss Ø");
        assertEquals(Quantity.inSentence("M3 screws"), "M3 screws");
        assertEquals(Quantity.inSentence(""), "");
    }
}
