package tinperch.desktop.reading;

import java.util.function.BiConsumer;
import tinperch.measure.sheet.Sheet;

/**
 * A sheet that can be opened in a {@link ReadingsPane}, wherever it is kept.
 *
 * @param key its id in the window
 * @param tip what it is for
 * @param commit takes the name of an edit and the sheet after it
 * @param remove takes it off, null where it belongs
 */
public record Entry(String key, String tip, Sheet sheet, BiConsumer<String, Sheet> commit, Runnable remove) {}
