package tinperch.desktop.reading;

import java.util.Random;
import java.util.function.DoubleSupplier;
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import tinperch.quantity.Quantity;

/**
 * Calipers nobody has to hold, for trying things out: they type what was read so far again, with the scatter of a hand, and
 * Enter, key by key as real ones that type do.
 */
public final class SimulatedCalipers {
    /** Scatter of a steady hand, mm (common practice). */
    private static final double HAND_MM = 0.02;

    private final Random random;

    public SimulatedCalipers(long seed) {
        random = new Random(seed);
    }

    /** Types a reading into the cell with the focus; false when no cell has it. */
    public boolean read(Scene scene) {
        if (!(scene.getFocusOwner() instanceof TextField field) || !(field.getUserData() instanceof DoubleSupplier soFar)) {
            return false;
        }
        String shown = Quantity.fixed(soFar.getAsDouble() + HAND_MM * random.nextGaussian(), 2);
        for (char c : shown.toCharArray()) {
            field.fireEvent(new KeyEvent(KeyEvent.KEY_TYPED, String.valueOf(c), "", KeyCode.UNDEFINED, false, false, false, false));
        }
        field.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false));
        return true;
    }
}
