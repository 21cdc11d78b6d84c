/** Binary STL, the common denominator of printing: triangles only, millimetres by convention. */
package tinperch.files.stl;
