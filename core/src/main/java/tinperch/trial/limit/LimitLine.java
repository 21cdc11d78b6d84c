package tinperch.trial.limit;

/**
 * A temperature a channel should stay below.
 *
 * @param name short, "PETG's use limit"
 * @param why where it comes from, a sentence
 */
public record LimitLine(String name, double tempC, String why) {}
