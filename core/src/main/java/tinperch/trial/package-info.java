/**
 * What a machine really does, from what was recorded of it: runs of channels over time, the lines they must stay below, and what is reckoned from
 * them: time above a limit, where a rise will end, ripple, before against after, a spot's share of the block's rise. Samples themselves are kept
 * by the workshop; here they are series in memory.
 */
package tinperch.trial;
