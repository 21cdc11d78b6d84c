/**
 * Reading sheets of every kind but with the same cells: what can be read, where the instrument goes, what is reckoned from
 * it. Kinds, cells and pictures are tables.
 */
package tinperch.measure.sheet;
