/** Paper at full size: a template to drill by. */
package tinperch.files.pdf;
