package tinperch.upgrade;

/**
 * What is wrong, and what it measured before anything was changed.
 *
 * @param seen what is seen, in the owner's words
 * @param baseline what was measured: "wobble at the tool, push of 5 N"
 * @param baselineValue the value with its unit as typed: "0.6 mm"; may be empty
 */
public record Trouble(String seen, String baseline, String baselineValue) {
    public static final Trouble NONE = new Trouble("", "", "");
}
