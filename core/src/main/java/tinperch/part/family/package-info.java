/**
 * Part families, one class each (small helpers beside it where a family needs them). Families do not know each other; the
 * list of all is {@code tinperch.upgrade.Families}.
 */
package tinperch.part.family;
