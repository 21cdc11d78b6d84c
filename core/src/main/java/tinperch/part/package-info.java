/**
 * Kinds of part as families. {@code part.param} holds the typed parameters, {@code part.bind} the roles and the references they are
 * resolved to; a family turns values and references into a form ({@code part.form}), {@code part.feature} adds what the person
 * placed, {@code part.block} holds groups of parameters that several families mount. Families live in {@code part.family}, one class
 * each, and do not know each other. A part of an upgrade, its choices and bindings, is {@code upgrade.PartDesign}.
 */
package tinperch.part;
