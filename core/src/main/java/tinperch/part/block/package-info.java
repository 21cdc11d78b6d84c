/** Groups of parameters that several families mount, with the geometry they stand for. */
package tinperch.part.block;
