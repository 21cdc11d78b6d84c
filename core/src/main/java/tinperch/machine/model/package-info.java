/** Models somebody else made, and the readings that tell whether to believe them. */
package tinperch.machine.model;
