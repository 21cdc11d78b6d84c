/** Numbers with units, in and out: what a person types ("4 in", "3/8in", "12,5") and what they read. */
package tinperch.quantity;
