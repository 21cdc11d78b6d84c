/** The window itself: shelf, headline, actions, the place one is at. */
package tinperch.desktop.window;
