/** Copper wires: their gauge, their resistance, what they carry, and the volts that stay in them. */
package tinperch.wiring;
