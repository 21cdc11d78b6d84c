/** The fitting sheet: the part in drawn views with dimensions edited where they stand, and the turntable. */
package tinperch.desktop.sheet;
