package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.List;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Loft;
import tinperch.solid.shape.Profiles;

/** The part the kernel is timed on: a plate with bosses, ribs, holes in three directions, hexagon pockets and a duct. */
public final class ReferencePart {
    private ReferencePart() {}

    public static Solid of(double plateMm, double firstHoleX, int holes, int sides) {
        List<Solid> body = new ArrayList<>();
        List<Solid> cuts = new ArrayList<>();
        body.add(Leaf.extrusion("plate", Profile.rectangle(50, 35, 100, 70), Placement.HERE, 0, plateMm));
        for (int i = 0; i < 6; i++) {
            body.add(Leaf.extrusion("boss " + i, Profile.disc(15 + 35 * (i % 3), 20 + 30 * (i / 3), 12, sides),
                    Placement.HERE, 2, plateMm + 6));
        }
        for (int i = 0; i < 4; i++) {
            body.add(Leaf.extrusion("rib " + i, Profile.rectangle(50, 8 + 18 * i, 90, 2.4), Placement.HERE, 1, plateMm + 4));
        }
        int down = holes * 2 / 3;
        for (int i = 0; i < holes; i++) {
            String name = "hole " + i;
            if (i < down) {
                int columns = Math.max(4, (int) Math.ceil(Math.sqrt(down * 1.4)));
                double pitchX = 92.0 / columns;
                double pitchY = 62.0 / Math.max(1, (down + columns - 1) / columns);
                double x = i == 0 ? firstHoleX : 4 + pitchX / 2 + pitchX * (i % columns);
                cuts.add(Leaf.extrusion(name, Profile.hole(x, 4 + pitchY / 2 + pitchY * (i / columns),
                        Math.min(3.4, 0.7 * Math.min(pitchX, pitchY)), sides), Placement.HERE, -1, plateMm + 20));
            } else if (i % 2 == 0) {
                cuts.add(Leaf.extrusion(name, Profile.hole(0, 0, 2.5, sides),
                        Placement.along(new Vec3(-1, 3 + 64.0 * (i - down) / Math.max(1, holes - down), plateMm / 2),
                                Vec3.X, Vec3.Y), 0, 12));
            } else {
                cuts.add(Leaf.extrusion(name, Profile.hole(0, 0, 2.5, sides),
                        Placement.along(new Vec3(4 + 90.0 * (i - down) / Math.max(1, holes - down), -1, plateMm / 2),
                                Vec3.Y, Vec3.Z), 0, 12));
            }
        }
        for (int i = 0; i < 8; i++) {
            cuts.add(Leaf.extrusion("nut " + i, Profile.hexagon(12 + 11 * i, 62, 5.7, 0), Placement.HERE, -1, 2.6));
        }
        // A duct from a rectangle over the plate to a slot above it, and the opening it stands on.
        body.add(Loft.between("duct", Profile.rectangle(82, 50, 23, 13), Placement.at(0, 0, plateMm - 1),
                Profiles.slot(84, 50, 16, 9, 12), Placement.at(0, 0, plateMm + 18)));
        cuts.add(Loft.between("channel", Profile.rectangle(82, 50, 20, 10), Placement.at(0, 0, plateMm - 1.5),
                Profiles.slot(84, 50, 16, 6, 12), Placement.at(0, 0, plateMm + 18.5)));
        cuts.add(Leaf.extrusion("inlet", Profile.rectangle(82, 50, 20, 10), Placement.HERE, -1, plateMm - 1));
        return Solid.union(body.toArray(Solid[]::new)).minus(cuts.toArray(Solid[]::new));
    }
}
