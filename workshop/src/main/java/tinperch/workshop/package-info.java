/**
 * The owner's data and the services around it: {@code Workshop} holds the current state, edits, undo; {@code store} keeps
 * it on disk; {@code edit} tries edits and computes in the background; {@code export} writes parts;
 * {@code model} brings downloaded models in; {@code demo} is the demo club.
 */
package tinperch.workshop;
