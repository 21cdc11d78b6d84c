/**
 * A machine's book: what was fitted and set when, on which loadout, and what must be redone because of it. Everything is
 * dated and nothing is overwritten; how the machine stood on a day, what differs between two days or loadouts, and what is
 * due are all computed from the entries. Causes and steps are tables beside this package ({@code redo.csv} and others).
 */
package tinperch.machine.book;
