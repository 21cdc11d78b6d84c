/** Kinds of part, one class each. They do not know each other; the list of all is {@code tinperch.upgrade.Families}. */
package tinperch.part.family;
