/** Paste pushed through a nozzle by a plunger: steps, force, pressure. */
package tinperch.paste;
