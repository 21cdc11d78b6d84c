/** Prints as G-code: how long they take. */
package tinperch.files.gcode;
