package tinperch.trial.tell;

/**
 * Something that is said of a channel.
 *
 * @param label what it is about, a word or two
 * @param words the sentence
 * @param bad whether somebody should do something about it
 */
public record Told(String label, String words, boolean bad) {
    static Told of(String label, String words) {
        return new Told(label, words, false);
    }
}
