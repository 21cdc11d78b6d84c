package tinperch.part.form;

import tinperch.solid.Solid;

/**
 * A simplified solid of something mounted on the part or the part is mounted on, in the assembly's coordinates.
 *
 * @param touching how deep it may reach into the part where they meet, mm: soft foam, a hose pulled over; 0 for hard things
 */
public record Held(String name, Solid solid, double touching) {}
