/** Pictures of solids: feature edges, visible and hidden lines for drawings, a shaded z-buffer picture for the turntable. */
package tinperch.solid.view;
