/** Edits of parts that are tried before they are made. */
package tinperch.workshop.edit;
