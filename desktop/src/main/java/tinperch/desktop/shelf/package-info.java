/** The shelf at the left: one card per machine. */
package tinperch.desktop.shelf;
