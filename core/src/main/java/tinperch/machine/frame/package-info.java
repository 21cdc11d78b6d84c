/**
 * Frames to start from: a machine's axes and the things that usually stand around them, from its travel and the size of its bars. Every
 * place is usual, not measured; the nozzle's tip stands at zero with all axes at zero.
 */
package tinperch.machine.frame;
