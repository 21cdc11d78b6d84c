/** Logs that machines and their boards write. */
package tinperch.files.log;
