/** Solids as STEP (ISO 10303-21, AP214): flat faces, round holes as true cylinders, several bodies as an assembly. */
package tinperch.files.step;
