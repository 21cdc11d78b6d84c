package tinperch.measure;

import java.time.Instant;

/**
 * One caliper reading.
 *
 * @param valueMm what the instrument showed, mm
 * @param at when it was taken
 * @param instrument what took it
 */
public record Reading(double valueMm, Instant at, String instrument) {}
