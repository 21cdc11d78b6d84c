/** Our records as JSON text, for the store and for machine-readable output. */
package tinperch.files.json;
