/**
 * What can be found out about a case: its form, its meshes, the walls and seats measured on them, gaps in its machine, drawings.
 * A fact is a pure function of its inputs and asks others for what it needs.
 */
package tinperch.fact;
