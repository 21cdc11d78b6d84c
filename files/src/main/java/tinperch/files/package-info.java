/** Open formats, in and out. A sub-package a format; every reader treats its file as possibly hostile. */
package tinperch.files;
