package tinperch.workshop.export;

import java.util.List;
import tinperch.fact.MeshesFact;
import tinperch.part.form.Cavity;
import tinperch.part.form.Lie;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.upgrade.Case;

/**
 * A piece to write, as it is drawn.
 *
 * @param name empty for the only piece of a part
 * @param cavities what is hollow in it on purpose; none for a kept mesh, which is only a mesh
 * @param place where it goes in the assembly
 * @param lie the side it lies on when it is printed
 */
public record Item(String name, Mesh mesh, int count, List<Cavity> cavities, Placement place, Lie lie) {
    public Item {
        cavities = List.copyOf(cavities);
    }

    /** A mesh nothing more is known of. */
    public static Item bare(String name, Mesh mesh, int count, Lie lie) {
        return new Item(name, mesh, count, List.of(), Placement.HERE, lie);
    }

    /**
     * The pieces of a part; an only one needs no name but that of its side.
     *
     * @param c the case they were made of
     */
    public static List<Item> of(List<MeshesFact.Made> made, Case c) {
        return made.stream().map(m -> new Item(made.size() == 1 ? m.piece().hand() : m.piece().name(), m.mesh(), m.piece().count(), m.piece().cavities(), m.piece().place(), c.lie(m.piece().id()))).toList();
    }

    /** Its mesh as it lies on the bed. */
    public Mesh printed() {
        return lie == Lie.BOTTOM ? mesh : mesh.placed(lie.turn());
    }

    /** How it is laid to be printed, after a comma; empty as it is drawn. */
    public String laid() {
        return lie == Lie.BOTTOM ? "" : ", printed " + lie.where();
    }

    /** The part's title, with the piece's name where there are several. */
    public String titled(String title) {
        return name.isEmpty() ? title : title + " " + name;
    }
}
