package tinperch.desktop.action;

import java.util.function.BooleanSupplier;
import javafx.scene.input.KeyCombination;

/**
 * One thing that can be done.
 *
 * @param id stable, for tests
 * @param name what it is called, a verb first
 * @param keys its shortcut, or null
 * @param possible whether it makes sense now
 */
public record Action(String id, String name, KeyCombination keys, BooleanSupplier possible, Runnable run) {
    public static Action of(String id, String name, String keys, BooleanSupplier possible, Runnable run) {
        return new Action(id, name, keys.isEmpty() ? null : KeyCombination.valueOf(keys), possible, run);
    }

    /** "Ctrl+Z", or empty. */
    public String keysText() {
        return keys == null ? "" : keys.getDisplayText();
    }
}
