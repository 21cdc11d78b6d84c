/** The page of a machine's temperatures: logs taken in, drawn over time, and what is reckoned of them. */
package tinperch.desktop.temperature;
