/** OBJ: points and faces of it, nothing else. */
package tinperch.files.obj;
