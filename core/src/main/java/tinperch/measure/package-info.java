/** Readings and what follows from them: means, spreads, intervals, derived centre distances, the pattern they describe. */
package tinperch.measure;
