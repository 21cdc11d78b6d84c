/** What the window is looking at; every view reads it from here. */
package tinperch.desktop.desk;
