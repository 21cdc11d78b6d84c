/** A piece seen as the flat plate it is: outline, cutouts and round holes, to be cut or drilled at full size. */
package tinperch.part.flat;
