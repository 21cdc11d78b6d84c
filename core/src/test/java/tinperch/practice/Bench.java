package tinperch.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.fact.RestFact;
import tinperch.machine.Machine;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Group;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.part.PartExamples;
import tinperch.part.mark.Marking;
import tinperch.part.param.Values;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;

/** Machines and parts the rows are made of. */
final class Bench {
    static final Values PLAIN = Values.START.with(Marking.HEIGHT, 0.0);
    private static final String[] ALL = {"PLA", "PETG", "ABS", "ASA", "PC", "PA12"};

    private Bench() {}

    static Neighbour box(String id, String group, Neighbour.Kind kind, double tempC, Vec3 corner, Vec3 size) {
        return new Neighbour(id, id, group, kind, Neighbour.Form.BOX, corner, size, "z", 0, tempC);
    }

    static Neighbour solid(String id, String group, Vec3 corner, Vec3 size) {
        return box(id, group, Neighbour.Kind.SOLID, 0, corner, size);
    }

    static Neighbour hot(String id, double tempC, Vec3 corner, Vec3 size) {
        return new Neighbour(id, id, "carriage", Neighbour.Kind.HOT, Neighbour.Form.BOX, corner, size, "z", 0.1, tempC);
    }

    /** A part on a carriage of x and z that looks along y, in a shop whose printer may print anything. */
    static Case on(String family, Values v, String material, UnaryOperator<Machine> machine, List<Neighbour> around, List<Run> runs) {
        Surroundings s = new Surroundings(List.of(new Axis("x", Vec3.X, 0, 200, false, 1), new Axis("z", Vec3.Z, 0, 100, false, 2)), List.of(new Group("carriage", List.of("x", "z"))), around,
                List.of(new Site("s", "front", "carriage", Vec3.ZERO, Vec3.Y, 0, 0.3, "")), List.of(), "", List.of(), runs);
        return caseOf(PartDesign.of("p1", family, "part", v).withMaterial(material).atSite("s"), m -> machine.apply(m.withSurroundings(s).withEnclosed(false)));
    }

    static Case on(String family, Values v, String material, Neighbour... around) {
        return on(family, v, material, m -> m, List.of(around), List.of());
    }

    static Case foot(Neighbour... around) {
        return on("soft-foot", PLAIN, "PETG", around);
    }

    static Case caseOf(PartDesign part, UnaryOperator<Machine> machine) {
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        List<Machine> all = new ArrayList<>();
        for (Machine m : shop.machines()) {
            Machine any = m.withMaterials(List.of(ALL));
            all.add(m.id().equals("upgraded") ? machine.apply(any) : any);
        }
        return PartExamples.caseOf(part, new Shop(all, shop.hardware(), shop.drawer(), shop.models()));
    }

    /** The part's box in the machine with all axes at zero. */
    static Bounds bounds(Case c) {
        FactsOnce f = new FactsOnce(c);
        MeshesFact.Made m = f.get(MeshesFact.BARE).pieces().get(0);
        return m.mesh().placed(RestFact.inMachine(c, f).orElseThrow().times(m.piece().place())).bounds();
    }
}
