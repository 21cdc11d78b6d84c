/** Threads for work in the background, one thing after the other, and how answers come back to the interface. */
package tinperch.workshop.background;
