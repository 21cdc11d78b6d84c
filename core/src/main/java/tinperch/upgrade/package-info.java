/**
 * The upgrade as a whole: what is wrong, its parts and their kept revisions; the case of a part, what may be changed in it; the
 * lists of all kinds of part and of feature. Nothing here keeps state and nothing here judges.
 */
package tinperch.upgrade;
