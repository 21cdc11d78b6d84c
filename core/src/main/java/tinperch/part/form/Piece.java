package tinperch.part.form;

import java.util.List;
import java.util.Locale;
import tinperch.solid.Placement;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;

/**
 * One thing to print.
 *
 * @param id unique within the part, {@code name} what the owner calls it
 * @param solid as it lies on the bed: z up, its lowest point anywhere
 * @param cavities in the solid's own coordinates
 * @param place where it goes in the assembly
 * @param count how many of it are printed, at least 1
 * @param pull which way and how far it is pulled out of the assembly to be looked at alone, mm
 * @param reaches which numbers move which of its faces
 * @param hand the side of the machine it is for, "left"; empty where there is no such thing
 */
public record Piece(String id, String name, Solid solid, List<Cavity> cavities, Placement place, int count, Vec3 pull, List<Reach> reaches, String hand) {
    public Piece {
        cavities = List.copyOf(cavities);
        reaches = List.copyOf(reaches);
        if (count < 1) {
            throw new tinperch.part.param.PartProblem("“" + name + "” is to be printed " + count + " times; at least once.");
        }
    }

    /** One for either side. */
    public Piece(String id, String name, Solid solid, List<Cavity> cavities, Placement place, int count, Vec3 pull, List<Reach> reaches) {
        this(id, name, solid, cavities, place, count, pull, reaches, "");
    }

    /** The same for one side only. */
    public Piece of(String side) {
        return new Piece(id, name, solid, cavities, place, count, pull, reaches, side);
    }

    /** What is engraved in it: the revision's mark, and the letter of its side. */
    public String marked(String mark) {
        return hand.isEmpty() ? mark : mark + " " + hand.substring(0, 1).toUpperCase(Locale.ROOT);
    }

    /** The only piece of a part, as it lies on the bed. */
    public static Piece only(String name, Solid solid, List<Cavity> cavities, List<Reach> reaches) {
        return new Piece("part", name, solid, cavities, Placement.HERE, 1, Vec3.ZERO, reaches);
    }

    /** With another solid. */
    public Piece with(Solid next) {
        return new Piece(id, name, next, cavities, place, count, pull, reaches, hand);
    }

    /** With more cavities. */
    public Piece withCavities(List<Cavity> next) {
        return new Piece(id, name, solid, next, place, count, pull, reaches, hand);
    }
}
