package tinperch.part.form;

import tinperch.solid.Solid;

/**
 * A simplified solid of something mounted on the part or the part is mounted on, in the assembly's coordinates.
 *
 * @param touching how deep it may reach into the part where they meet, mm: soft foam, a hose pulled over; 0 for hard things
 * @param there whether it stands there without the part, as a post or a rod does, or runs on what does, as a wheel: then the part does not carry it about
 */
public record Held(String name, Solid solid, double touching, boolean there) {
    /** Something the part carries. */
    public Held(String name, Solid solid, double touching) {
        this(name, solid, touching, false);
    }

    /** The same as something that stands there without the part. */
    public Held standingThere() {
        return new Held(name, solid, touching, true);
    }

    /** The same, shaped or put otherwise. */
    public Held as(Solid other) {
        return new Held(name, other, touching, there);
    }
}
