/** Where things stand on a machine, from distances read face to face with calipers: a small network of readings along each direction. */
package tinperch.machine.place;
