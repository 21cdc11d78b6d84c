/**
 * The upgrade as a whole: what is wrong, what was measured, the part, its kept revisions; and the pure function that
 * judges it. This is where the rooms before meet; nothing here keeps state.
 */
package tinperch.upgrade;
