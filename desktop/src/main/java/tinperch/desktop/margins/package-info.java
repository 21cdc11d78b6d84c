/** The margins tray: findings, tightest first, with their rulers and remedies. */
package tinperch.desktop.margins;
