/** Commands for scripts: the demo's findings and files without a window. */
package tinperch.desktop.cli;
