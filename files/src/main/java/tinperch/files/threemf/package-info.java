/** 3MF (3MF Core Specification 1.x): a zip with one XML model; carries units, names and the revision. */
package tinperch.files.threemf;
