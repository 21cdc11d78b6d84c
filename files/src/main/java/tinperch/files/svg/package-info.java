/** Flat outlines as SVG at full size. */
package tinperch.files.svg;
