/**
 * A machine in space: its axes and what rides on them, and the neighbours a part has to live with. Coordinates are the
 * machine's own, mm: x to the right, y to the back, z up, zero at the bed's front left corner with all axes at zero.
 */
package tinperch.machine.space;
