/** Models somebody else made: whichever format they come in, with progress and a way to stop. */
package tinperch.files.model;
