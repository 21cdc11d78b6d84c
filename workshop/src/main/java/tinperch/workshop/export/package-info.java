/** Parts out of the workshop: named files with the right revision, in open formats. */
package tinperch.workshop.export;
