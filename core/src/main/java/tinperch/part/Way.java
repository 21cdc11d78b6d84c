package tinperch.part;

import tinperch.part.param.Values;

/**
 * Another way to lay a part out.
 *
 * @param label what a button says: "turn the tool side by 90°"
 */
public record Way(String label, Values values) {}
