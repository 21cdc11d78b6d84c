/** Usual sizes of fans, motors, profiles, rods, bearings, boards, hoses as data: starts for parts, beaten by any reading. */
package tinperch.catalogue;
