/** Edits that are tried before they are made, and work in the background where the latest edit wins. */
package tinperch.workshop.edit;
