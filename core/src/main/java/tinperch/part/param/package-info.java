/** The numbers, choices and switches an owner sets: typed, with their ranges, units and words. */
package tinperch.part.param;
