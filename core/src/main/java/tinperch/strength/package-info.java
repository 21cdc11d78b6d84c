/** What a load does to a solid: sections between it and where the solid is held, stress and deflection from them. */
package tinperch.strength;
