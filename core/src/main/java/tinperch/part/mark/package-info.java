/** The mark a printed revision is told by: the same for every kind of part. */
package tinperch.part.mark;
