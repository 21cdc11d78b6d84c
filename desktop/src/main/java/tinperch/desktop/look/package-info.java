/** How everything looks: colours, type, icons, small controls used by all views. */
package tinperch.desktop.look;
