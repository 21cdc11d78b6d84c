/** Flat outlines as DXF R12, for whatever cuts plates. */
package tinperch.files.dxf;
