/** Reading sheets on the screen: cells that take readings, the picture with the jaws, what follows from them. */
package tinperch.desktop.reading;
