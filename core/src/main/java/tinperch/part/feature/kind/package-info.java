/** Kinds of feature, one class each. They do not know each other; the list of all is {@code tinperch.upgrade.FeatureKinds}. */
package tinperch.part.feature.kind;
