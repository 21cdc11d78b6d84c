/**
 * Samples of runs, in a file beside the workshop's: chunks of rows, each with its lowest and highest values over 16, 256 and 4096 rows, so that any
 * stretch of any length is drawn at once. State and undo hold only the ids of runs.
 */
package tinperch.workshop.log;
