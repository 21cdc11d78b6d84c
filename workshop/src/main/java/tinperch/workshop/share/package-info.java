/** A workshop, a machine or an upgrade as one open file: written, read however it was written, put into another workshop. */
package tinperch.workshop.share;
