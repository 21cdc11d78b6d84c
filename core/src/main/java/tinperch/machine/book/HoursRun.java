package tinperch.machine.book;

import java.time.LocalDate;

/**
 * What a machine's hour counter showed.
 *
 * @param hours run since the machine came
 * @param source who read it, or the log it was read from
 */
public record HoursRun(String id, LocalDate on, double hours, String source) {}
