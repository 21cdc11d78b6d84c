package tinperch.upgrade;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiFunction;
import tinperch.catalogue.UsualThing;
import tinperch.machine.Machine;
import tinperch.machine.book.Component;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.Sheet;
import tinperch.part.PartFamily;
import tinperch.part.bind.AccessRef;
import tinperch.part.bind.Binding;
import tinperch.part.bind.BodyRef;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.Known;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.NearRef;
import tinperch.part.bind.ProfileRef;
import tinperch.part.bind.Ref;
import tinperch.part.bind.RefKind;
import tinperch.part.bind.Refs;
import tinperch.part.bind.RodRef;
import tinperch.part.bind.Role;
import tinperch.part.bind.Sizes;
import tinperch.part.bind.TipRef;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.param.PartProblem;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/** Resolves the bindings of a part against its machine. What cannot be resolved is said, never thrown. */
public final class Resolver {
    private static final Known AS_IT_STANDS = new Known(Known.How.USUAL, "as it stands in the surroundings", 0, List.of());

    private static final Known AS_DRAWN = new Known(Known.How.DRAWN, "as drawn in the surroundings", 0, List.of());

    private static final Known AS_THE_FILE_SAYS = new Known(Known.How.USUAL, "as the file of the model says, not measured", 0, List.of());

    private final Machine machine;
    private final BiFunction<String, String, Ref> ports;

    /**
     * @param ports what another part offers, by its id and the port's; throws {@link PartProblem} when it offers nothing
     */
    public Resolver(Machine machine, BiFunction<String, String, Ref> ports) {
        this.machine = machine;
        this.ports = ports;
    }

    /** All roles of a part; those without a binding are resolved to their usual size. */
    public Refs resolve(PartFamily family, PartDesign part) {
        Map<String, Ref> refs = new TreeMap<>();
        Map<String, String> problems = new TreeMap<>();
        for (Role<?> role : family.roles()) {
            Binding b = part.bindings().get(role.id());
            if (role.kind().equals(AccessRef.KIND) || role.kind().equals(NearRef.KIND)) {
                machine.surroundings().site(part.siteId()).flatMap(s -> role.kind().equals(NearRef.KIND) ? near(s) : access(s)).ifPresent(a -> refs.put(role.id(), a));
                continue;
            }
            if (b == null && (role.optional() || role.usual().isEmpty())) {
                if (!role.optional()) {
                    problems.put(role.id(), "“" + role.label() + "” is bound to nothing; choose what " + role.ask() + " is.");
                }
                continue;
            }
            try {
                refs.put(role.id(), role.kind().equals(TipRef.KIND) ? tip(b, part.siteId()) : resolve(role.kind(), b == null ? new Binding.Usual(role.usual()) : b));
            } catch (PartProblem e) {
                problems.put(role.id(), e.getMessage());
            }
        }
        for (Feature f : part.features()) {
            FeatureKinds.byId(f.kindId()).flatMap(FeatureKind::around).ifPresent(kind -> {
                try {
                    refs.put(Refs.feature(f.id()), around(kind, f, part.siteId()));
                } catch (PartProblem e) {
                    problems.put(Refs.feature(f.id()), e.getMessage());
                }
            });
        }
        return new Refs(refs, problems);
    }

    /**
     * One binding.
     *
     * @throws PartProblem when what it names is gone or is of another kind
     */
    public <R extends Ref> R resolve(RefKind<R> kind, Binding binding) {
        if (binding instanceof Binding.Usual u) {
            return ofSizes(kind, Optional.empty(), u.usualId());
        }
        if (binding instanceof Binding.OnSheet s) {
            return ofSizes(kind, Optional.of(machine.sheet(s.sheetId()).orElseThrow(() ->
                    new PartProblem("The reading sheet this was bound to is gone from " + machine.name() + "; choose another or a usual size."))), s.usualId());
        }
        if (binding instanceof Binding.AtSite s) {
            Site site = machine.surroundings().site(s.siteId()).orElseThrow(() ->
                    new PartProblem("The site this was bound to is gone from " + machine.name() + "; choose another."));
            if (site.drawn() != null && machine.sheet(site.sheetId()).isEmpty()) {
                return cast(kind, HolesRef.of(site.name(), site.drawn(), AS_THE_FILE_SAYS));
            }
            return ofSizes(kind, Optional.of(machine.sheet(site.sheetId()).orElseThrow(() ->
                    new PartProblem("No holes were read at the site “" + site.name() + "”; lay a reading sheet on it."))), "");
        }
        if (binding instanceof Binding.OfModel m) {
            return cast(kind, MeshRef.of(machine.model(m.modelId()).orElseThrow(() ->
                    new PartProblem("The model this part is made from is not kept any more; bring it in again."))));
        }
        if (binding instanceof Binding.OfNeighbour n) {
            return cast(kind, ofNeighbour(n.neighbourId()));
        }
        if (binding instanceof Binding.OfComponent b) {
            Component c = machine.book().component(b.componentId()).orElseThrow(() ->
                    new PartProblem("The component this was bound to is not in the book of " + machine.name() + " any more; choose another."));
            UsualThing usual = UsualThing.byId(c.usual()).filter(u -> kind.sheetKinds().contains(u.kind())).orElseThrow(() ->
                    new PartProblem("The book of " + machine.name() + " does not say what size “" + c.name() + "” is; say it there, or choose another."));
            return kind.maker().apply(new Sizes(Optional.empty(), Optional.of(usual), c.off().isPresent() ? c.name() + ", taken off" : c.name()));
        }
        Binding.OfPort port = (Binding.OfPort) binding;
        return cast(kind, ports.apply(port.partId(), port.portId()));
    }

    private <R extends Ref> R ofSizes(RefKind<R> kind, Optional<Sheet> sheet, String usualId) {
        Optional<UsualThing> usual = UsualThing.byId(usualId);
        String of = sheet.map(Sheet::kind).or(() -> usual.map(UsualThing::kind)).orElseThrow(() ->
                new PartProblem("The usual size “" + usualId + "” is not known to this version; choose another."));
        if (!kind.sheetKinds().contains(of)) {
            throw new PartProblem("“" + sheet.map(Sheet::name).or(() -> usual.map(UsualThing::name)).orElse("") + "” is of another kind than is needed here; choose another.");
        }
        return kind.maker().apply(new Sizes(sheet, usual.filter(u -> u.kind().equals(of))));
    }

    private Ref around(RefKind<?> kind, Feature f, String siteId) {
        if (f.around() == null) {
            throw new PartProblem("It is made around nothing; choose what it is to be around.");
        }
        if (!(f.around() instanceof Binding.OfNeighbour n) || !kind.equals(BodyRef.KIND)) {
            return resolve(kind, f.around());
        }
        Site site = machine.surroundings().site(siteId).orElseThrow(() -> new PartProblem("Where it is seen from the part cannot be told; say where the part mounts."));
        return inTheWay(neighbour(n.neighbourId()), site);
    }

    /** All that must be got to, wherever the part mounts; what of it lies on the part the part tells. */
    private Optional<Ref> access(Site s) {
        List<Neighbour> zones = machine.surroundings().neighbours().stream().filter(n -> n.kind() == Neighbour.Kind.ACCESS).toList();
        return zones.isEmpty() ? Optional.empty() : Optional.of(new AccessRef(zones.stream().map(n -> inTheWay(n, s)).toList(), AS_DRAWN));
    }

    /** All that one can run into. */
    private Optional<Ref> near(Site s) {
        List<NearRef.Thing> things = machine.surroundings().neighbours().stream().filter(Neighbour::isMatter).map(n -> new NearRef.Thing(inTheWay(n, s), n.clearanceMm())).toList();
        return things.isEmpty() ? Optional.empty() : Optional.of(new NearRef(things, AS_DRAWN));
    }

    private TipRef tip(Binding b, String siteId) {
        if (!(b instanceof Binding.OfNeighbour n)) {
            throw new PartProblem("Only a neighbour has a tip; choose one.");
        }
        Site site = machine.surroundings().site(siteId).orElseThrow(() -> new PartProblem("Where it is seen from the part cannot be told; say where the part mounts."));
        Neighbour nozzle = neighbour(n.neighbourId());
        Bounds box = standing(nozzle, site);
        Placement seen = site.frame().inverse();
        Vec3 lowest = new Vec3(box.centre().x(), box.centre().y(), box.min().z());
        return new TipRef(nozzle.name(), seen.times(new Placement(lowest, Vec3.X, Vec3.Y, Vec3.Z)).origin(), seen.turned(Vec3.Z.times(-1)), AS_IT_STANDS);
    }

    /** A neighbour's box with all axes at home, as seen from a site that moves with its own group. */
    private Bounds standing(Neighbour n, Site site) {
        Surroundings space = machine.surroundings();
        return n.bounds(space.shift(n.group(), space.home()).minus(space.shift(site.group(), space.home())));
    }

    private Neighbour neighbour(String id) {
        return machine.surroundings().neighbour(id).orElseThrow(() ->
                new PartProblem("The neighbour this was bound to is gone from " + machine.name() + "; choose another."));
    }

    /** A neighbour as it stands before a site with all axes at home. */
    private BodyRef inTheWay(Neighbour n, Site site) {
        Vec3 middle = standing(n, site).centre();
        boolean rod = n.form() == Neighbour.Form.CYLINDER;
        Placement stands = new Placement(middle, Vec3.X, Vec3.Y, Vec3.Z);
        Vec3 s = n.size();
        if (rod && n.direction() == Vec3.X) {
            stands = new Placement(middle, Vec3.Y, Vec3.Z, Vec3.X);
            s = new Vec3(s.y(), s.z(), s.x());
        } else if (rod && n.direction() == Vec3.Y) {
            stands = new Placement(middle, Vec3.Z, Vec3.X, Vec3.Y);
            s = new Vec3(s.z(), s.x(), s.y());
        }
        return new BodyRef(n.name(), rod, s, site.frame().inverse().times(stands), AS_IT_STANDS);
    }

    private Ref ofNeighbour(String id) {
        Neighbour n = neighbour(id);
        Vec3 along = n.direction();
        double across = along == Vec3.X ? n.size().y() : n.size().x();
        double other = along == Vec3.Z ? n.size().y() : n.size().z();
        double length = n.size().dot(along);
        return n.form() == Neighbour.Form.CYLINDER ? new RodRef(n.name(), across, length, AS_IT_STANDS)
                : new ProfileRef(n.name(), across, other, 0, AS_IT_STANDS);
    }

    private static <R extends Ref> R cast(RefKind<R> kind, Ref ref) {
        if (!kind.type().isInstance(ref)) {
            throw new PartProblem("“" + ref.name() + "” is of another kind than is needed here; choose another.");
        }
        return kind.type().cast(ref);
    }
}
