package tinperch.upgrade;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tinperch.hardware.Fits;
import tinperch.hardware.HardwareTables;
import tinperch.hardware.ScrewDrawer;
import tinperch.machine.Machine;
import tinperch.machine.space.Site;
import tinperch.part.Models;
import tinperch.part.PartFamily;
import tinperch.part.PartInputs;
import tinperch.part.bind.Ref;
import tinperch.part.bind.Refs;
import tinperch.part.form.Lie;
import tinperch.part.form.PartForm;
import tinperch.part.form.Port;
import tinperch.part.param.PartProblem;

/**
 * A part with everything its judgement may look at, at one moment. Immutable: the same case has the same findings on any thread.
 *
 * @param upgrade the part belongs to
 * @param machine the machine it is for
 * @param printers all machines of the workshop
 * @param fitted what of other upgrades is in use on the machine
 */
public record Case(Upgrade upgrade, PartDesign part, Recipe recipe, Machine machine, List<Machine> printers, HardwareTables hardware,
        ScrewDrawer drawer, Models models, List<Fitted> fitted) {
    public Case {
        printers = List.copyOf(printers);
        fitted = List.copyOf(fitted);
    }

    /**
     * The case of one part of an upgrade.
     *
     * @param mark the text to engrave
     * @throws PartProblem when the upgrade's machine or the part is gone
     */
    public static Case of(Upgrade upgrade, String partId, Shop shop, String mark) {
        Machine machine = shop.machines().stream().filter(m -> m.id().equals(upgrade.machineId())).findFirst()
                .orElseThrow(() -> new PartProblem("The machine of “" + upgrade.name() + "” is not in the workshop."));
        PartDesign part = upgrade.part(partId).orElseThrow(() -> new PartProblem("This part is not in “" + upgrade.name() + "” any more."));
        Optional<Machine> host = shop.machines().stream().filter(m -> m.id().equals(upgrade.hostMachineId())).findFirst();
        Refs refs = Families.byId(part.familyId()).map(f -> refs(f, part, upgrade, machine, shop, host, new HashSet<>(Set.of(partId)))).orElse(Refs.NONE);
        return new Case(upgrade, part, new Recipe(part.familyId(), part.values(), refs, part.features(), host.map(Machine::holeOffsetMm).orElse(0.0), host.map(Machine::fits).orElse(Fits.USUAL), mark, part.lies()), machine, shop.machines(),
                shop.hardware(), shop.drawer(), shop.models(), shop.fitted().stream().filter(f -> f.upgrade().machineId().equals(machine.id()) && !f.upgrade().id().equals(upgrade.id())).toList());
    }

    private static Refs refs(PartFamily family, PartDesign part, Upgrade upgrade, Machine machine, Shop shop, Optional<Machine> host, Set<String> asked) {
        return new Resolver(machine, (partId, portId) -> port(partId, portId, upgrade, machine, shop, host, asked)).resolve(family, part);
    }

    private static Ref port(String partId, String portId, Upgrade upgrade, Machine machine, Shop shop, Optional<Machine> host, Set<String> asked) {
        PartDesign other = upgrade.part(partId).orElseThrow(() -> new PartProblem("The part this was bound to is gone; choose another."));
        if (!asked.add(partId)) {
            throw new PartProblem("“" + other.name() + "” is bound to this part, and this part to it; one of the two must be bound to something else.");
        }
        try {
            PartFamily family = Families.byId(other.familyId()).orElseThrow(() -> new PartProblem("“" + other.name() + "” is of a kind this version does not know."));
            PartForm form = family.form(new PartInputs(other.values(), refs(family, other, upgrade, machine, shop, host, asked), shop.hardware(), host.map(Machine::holeOffsetMm).orElse(0.0), host.map(Machine::fits).orElse(Fits.USUAL), shop.models()));
            return form.ports().stream().filter(p -> p.id().equals(portId)).map(Port::ref).findFirst()
                    .orElseThrow(() -> new PartProblem("“" + other.name() + "” offers no such thing; choose another."));
        } finally {
            asked.remove(partId);
        }
    }

    /** The same case after a change. */
    public Case after(Draft draft) {
        List<Machine> machines = printers.stream().map(m -> m.id().equals(draft.machine().id()) ? draft.machine() : m).toList();
        return of(draft.upgrade(), part.id(), new Shop(machines, hardware, draft.drawer(), models, fitted), recipe.mark());
    }

    /** The same case with a part of another recipe: one that was kept. */
    public Case with(Recipe kept) {
        return new Case(upgrade, part, kept, machine, printers, hardware, drawer, models, fitted);
    }

    /**
     * The cases of the upgrade's other parts and of what is in use of other upgrades, as it was kept, where they mount on other sites; none of
     * what cannot be made.
     */
    public List<Case> others() {
        List<Case> all = new ArrayList<>();
        for (PartDesign p : upgrade.parts()) {
            if (!p.id().equals(part.id()) && isBeside(p)) {
                try {
                    all.add(of(upgrade, p.id(), new Shop(printers, hardware, drawer, models), ""));
                } catch (PartProblem e) {
                    // Its own judgement says so; here nothing stands there.
                    continue;
                }
            }
        }
        fitted.stream().filter(f -> isBeside(f.part())).forEach(f -> all.add(new Case(f.upgrade(), f.part(), f.recipe(), machine, printers, hardware, drawer, models, List.of())));
        return all;
    }

    private boolean isBeside(PartDesign other) {
        return !other.siteId().equals(part.siteId()) && machine.surroundings().site(other.siteId()).isPresent();
    }

    /**
     * Its content key: of everything its judgement may look at, and of the version that judges. The same key has the same answer, on any
     * thread and any day. Meshes of downloaded models go in by their ids, which are sums of what they hold.
     */
    public ContentKey key() {
        return ContentKey.of(List.of(ContentKey.ENGINE, recipe, part, upgrade.hostMachineId(), machine, printers, hardware.threads(), hardware.inserts(), drawer, others().stream().map(o -> List.of(o.upgrade().id(), o.recipe(), o.part().siteId())).toList()));
    }

    /** What a change begins with. */
    public Draft draft() {
        return new Draft(upgrade, part.id(), machine, drawer);
    }

    /** The kind of part; empty when this version does not know it. */
    public Optional<PartFamily> family() {
        return Families.byId(part.familyId());
    }

    /** What the family may look at. */
    public PartInputs inputs() {
        return new PartInputs(recipe.values(), recipe.refs(), hardware, recipe.holeOffsetMm(), recipe.fits(), models);
    }

    /** On which side a piece lies on the bed. */
    public Lie lie(String pieceId) {
        return Lie.of(pieceId, recipe.lies());
    }

    /** The machine chosen to print it; empty when it is not in the workshop. */
    public Optional<Machine> host() {
        return printers.stream().filter(m -> m.id().equals(upgrade.hostMachineId())).findFirst();
    }

    /** The site it mounts on; empty when none was chosen or it is gone. */
    public Optional<Site> site() {
        return machine.surroundings().site(part.siteId());
    }
}
