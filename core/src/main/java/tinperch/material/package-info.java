/** Printing materials as a table, {@code materials.csv}, one row a material. */
package tinperch.material;
