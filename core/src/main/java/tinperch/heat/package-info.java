/** What a solid's temperature comes to near hot things: a grid of cut cells, its surface in patches, and the sparse system they make. */
package tinperch.heat;
