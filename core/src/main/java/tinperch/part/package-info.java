/**
 * Kinds of part as families with typed parameters and roles. {@code part.bind} resolves roles to references, a family turns
 * values and references into a form ({@code part.form}), {@code part.feature} adds what the person placed, {@code part.block}
 * holds groups of parameters that several families mount. Families live in {@code part.family}, one class each, and do not
 * know each other.
 */
package tinperch.part;
