/** Everything that can be done, by name and key, and the box to find it in. */
package tinperch.desktop.action;
