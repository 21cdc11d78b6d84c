/**
 * Parts as families with parameters. A family turns parameter values and measured patterns into a {@code PartForm}: the
 * solid, the screws with their stacks, the seats with their walls, the dimensions to draw. Families live in
 * {@code tinperch.part.family}, one class each, and do not know each other.
 */
package tinperch.part;
