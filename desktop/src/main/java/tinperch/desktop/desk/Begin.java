package tinperch.desktop.desk;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tinperch.catalogue.UsualThing;
import tinperch.machine.Machine;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.model.Model;
import tinperch.machine.space.Site;
import tinperch.measure.sheet.Sheet;
import tinperch.part.PartFamily;
import tinperch.part.bind.Binding;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.Role;
import tinperch.part.param.Values;
import tinperch.upgrade.Families;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Trouble;
import tinperch.upgrade.Upgrade;

/** What begins something: a machine, an upgrade, a part. */
public final class Begin {
    private Begin() {}

    /** Adds a machine with everyday values and opens its sheet. */
    public static void machine(Desk desk) {
        String id = freshId("machine", i -> desk.state().machine(i).isPresent());
        Machine m = new Machine(id, "New machine", Machine.Kind.MOVING_BED, "", new Machine.Space(220, 220, 240), 0.4, true,
                24, 0.2, List.of("PLA", "PETG"), Machine.State.FIT, "", Book.begun(LocalDate.now()));
        desk.workshop().edit("add a machine", s -> s.with(m));
        desk.goTo(m);
    }

    /** Starts an upgrade and opens its first station. */
    public static void upgrade(Desk desk, Machine machine) {
        Upgrade u = fresh(desk, machine, "New upgrade");
        desk.workshop().edit("start an upgrade", s -> s.with(u));
        desk.goTo(u, Station.TROUBLE);
    }

    /** Starts an upgrade whose part is made from a downloaded model, when one can be made from it. */
    public static void upgrade(Desk desk, Machine machine, Model base) {
        Upgrade u = fresh(desk, machine, base.name());
        PartDesign part = ofModel(u.nextPartId(), base);
        Upgrade with = u.with(part);
        desk.edits().problem(with, part.id()).ifPresentOrElse(desk::warn, () -> {
            desk.workshop().edit("make a part from " + base.name(), s -> s.with(with));
            desk.goTo(with, Station.SHAPE);
        });
    }

    private static Upgrade fresh(Desk desk, Machine machine, String name) {
        String id = freshId("upgrade", i -> desk.state().upgrade(i).isPresent());
        Optional<Machine> host = desk.state().machines().stream()
                .filter(m -> m.prints() && !m.id().equals(machine.id()) && m.state() == Machine.State.FIT)
                .min(Comparator.comparing(m -> !m.materials().contains(PartDesign.FIRST_MATERIAL)));
        return new Upgrade(id, machine.id(), name, LocalDate.now(), Trouble.NONE, List.of(), host.orElse(machine).id());
    }

    private static String freshId(String stem, java.util.function.Predicate<String> taken) {
        int n = 1;
        while (taken.test(stem + "-" + n)) {
            n++;
        }
        return stem + "-" + n;
    }

    // ---- parts ----

    private static PartFamily ofModels() {
        return Families.ALL.stream().filter(f -> f.roles().stream().anyMatch(r -> r.kind().equals(MeshRef.KIND))).findFirst().orElseThrow();
    }

    private static PartDesign ofModel(String partId, Model base) {
        PartFamily family = ofModels();
        Role<?> role = family.roles().stream().filter(r -> r.kind().equals(MeshRef.KIND)).findFirst().orElseThrow();
        return PartDesign.of(partId, family.id(), base.name(), Values.START).bound(role.id(), new Binding.OfModel(base.id()));
    }

    /** Whether a kind of part is made from a downloaded model. */
    public static boolean needsModel(PartFamily family) {
        return family.roles().stream().anyMatch(r -> r.kind().equals(MeshRef.KIND));
    }

    /** Makes a part of a downloaded model in an upgrade. */
    public static void part(Desk desk, Upgrade upgrade, Model base) {
        PartDesign part = ofModel(upgrade.nextPartId(), base);
        desk.edits().make(upgrade.id(), part, "make a part from " + base.name()).ifPresentOrElse(desk::warn, () -> desk.show(part.id()));
    }

    /**
     * Makes a part at once: its roles are bound to what was read for this upgrade, then to usual sizes; its values are chosen in the background
     * so that nothing stops it where that can be had.
     */
    public static void part(Desk desk, Upgrade upgrade, PartFamily family) {
        Machine machine = desk.state().machine(upgrade.machineId()).orElseThrow();
        String name = upgrade.parts().isEmpty() ? upgrade.name() : family.title();
        PartDesign part = PartDesign.of(upgrade.nextPartId(), family.id(), name, Values.START);
        for (Role<?> role : family.roles()) {
            Optional<Sheet> read = machine.sheet(upgrade.id() + "." + role.id()).filter(s -> role.kind().sheetKinds().contains(s.kind()));
            if (read.isPresent()) {
                part = part.bound(role.id(), new Binding.OnSheet(read.get().id(), role.usual()));
            } else if (!role.optional() && !role.usual().isEmpty()) {
                part = part.bound(role.id(), fitted(machine, role).orElseGet(() -> new Binding.Usual(role.usual())));
            }
        }
        List<Site> sites = machine.surroundings().sites();
        PartDesign bound = sites.size() == 1 ? part.atSite(sites.get(0).id()) : part;
        desk.engine().start(upgrade, bound, desk.workshop().shop(), chosen -> {
            Optional<Upgrade> still = desk.state().upgrade(upgrade.id()).filter(u -> u.part(chosen.id()).isEmpty());
            still.ifPresent(u -> {
                desk.workshop().edit("make a " + family.title().toLowerCase(Locale.ROOT), s -> s.with(u.with(chosen)));
                desk.show(chosen.id());
            });
        });
    }

    /** What the machine's book has for a role: the component of its size fitted last. */
    private static Optional<Binding> fitted(Machine machine, Role<?> role) {
        return machine.book().at(LocalDate.now(), "").components().stream()
                .filter(c -> UsualThing.byId(c.usual()).filter(u -> role.kind().sheetKinds().contains(u.kind())).isPresent())
                .max(Comparator.comparing(Component::on)).map(c -> new Binding.OfComponent(c.id()));
    }
}
