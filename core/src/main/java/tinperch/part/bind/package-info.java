/**
 * Bindings: where a role gets its sizes from, and the typed references they are resolved to. A usual size is a start; what was
 * read takes its place cell by cell, and each reference says how well it is known.
 */
package tinperch.part.bind;
