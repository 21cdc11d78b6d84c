/** An upgrade's stations: the run across the top and a view for each. */
package tinperch.desktop.station;
