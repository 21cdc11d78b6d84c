/** Machines as they stand: what kind, what they can print, and whether they can be used today. */
package tinperch.machine;
