/**
 * Screws, nuts, washers and inserts as tables: {@code threads.csv} and {@code inserts.csv} beside these classes are the
 * data, one row a size. Adding a size is adding a row.
 */
package tinperch.hardware;
