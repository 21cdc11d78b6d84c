/** The JavaFX application. {@code Main} is the door; {@code TinPerchApp} the window; the rest a sub-package a view. */
package tinperch.desktop;
