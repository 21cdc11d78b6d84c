/** What a person places on the faces of a part: where it is anchored, and the kinds of feature, one class each in {@code kind}. */
package tinperch.part.feature;
