/** The standing sheet of a machine, the screw drawer, and what an empty workshop shows. */
package tinperch.desktop.machine;
