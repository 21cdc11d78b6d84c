package tinperch.desktop.look;

/** Shows values by a word; nothing is typed. */
public final class Labels<T> extends javafx.util.StringConverter<T> {
    private final java.util.function.Function<T, String> word;
    private final String none;

    /** @param none what stands for nothing chosen */
    public Labels(java.util.function.Function<T, String> word, String none) {
        this.word = word;
        this.none = none;
    }

    @Override
    public String toString(T value) {
        return value == null ? none : word.apply(value);
    }

    @Override
    public T fromString(String text) {
        throw new UnsupportedOperationException("not typed");
    }
}
