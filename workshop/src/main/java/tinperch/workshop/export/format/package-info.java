/** One class a format parts are written in; the registry is {@code PartFormats}. */
package tinperch.workshop.export.format;
