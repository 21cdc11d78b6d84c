package tinperch.workshop.export;

import java.util.List;
import tinperch.fact.MeshesFact;
import tinperch.part.form.Cavity;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;

/**
 * A piece to write, as it lies on the bed.
 *
 * @param name empty for the only piece of a part
 * @param cavities what is hollow in it on purpose; none for a kept mesh, which is only a mesh
 * @param place where it goes in the assembly
 */
public record Item(String name, Mesh mesh, int count, List<Cavity> cavities, Placement place) {
    public Item {
        cavities = List.copyOf(cavities);
    }

    /** A mesh nothing more is known of. */
    public static Item bare(String name, Mesh mesh, int count) {
        return new Item(name, mesh, count, List.of(), Placement.HERE);
    }

    /** The pieces of a part; an only one needs no name but that of its side. */
    public static List<Item> of(List<MeshesFact.Made> made) {
        return made.stream().map(m -> new Item(made.size() == 1 ? m.piece().hand() : m.piece().name(), m.mesh(), m.piece().count(), m.piece().cavities(), m.piece().place())).toList();
    }

    /** The part's title, with the piece's name where there are several. */
    public String titled(String title) {
        return name.isEmpty() ? title : title + " " + name;
    }
}
