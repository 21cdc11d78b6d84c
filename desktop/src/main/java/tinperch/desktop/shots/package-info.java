/** Pictures of the real interface for the documentation. */
package tinperch.desktop.shots;
