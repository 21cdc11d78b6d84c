/** How long and how fast a machine lays a part down. */
package tinperch.printing;
