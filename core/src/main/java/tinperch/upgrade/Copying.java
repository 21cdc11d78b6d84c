package tinperch.upgrade;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.part.PartFamily;
import tinperch.part.bind.Binding;
import tinperch.part.bind.Role;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;

/** What one part takes over from another: the features placed on it, and what it is bound to. */
public final class Copying {
    private Copying() {}

    /**
     * A part with another's features besides its own, under ids that are free on it; those that stand on or count from one another still do.
     *
     * @param pieces the pieces the part has; what stood on a piece it has not goes to the first
     */
    public static PartDesign features(PartDesign from, PartDesign to, List<String> pieces) {
        PartDesign next = to;
        Map<String, String> ids = new HashMap<>();
        for (Feature f : from.features()) {
            if (next.features().size() >= PartDesign.MOST_FEATURES) {
                break;
            }
            String id = next.nextFeatureId();
            ids.put(f.id(), id);
            next = next.with(new Feature(id, f.kindId(), f.name(), anchor(f.anchor(), ids, pieces), f.around(), f.values(), f.off()));
        }
        return next;
    }

    private static Anchor anchor(Anchor a, Map<String, String> ids, List<String> pieces) {
        return a == null ? null : new Anchor(pieces.isEmpty() || pieces.contains(a.pieceId()) ? a.pieceId() : pieces.get(0), renamed(a.face(), ids), a.outward(),
                a.across(), renamed(a.acrossHole(), ids), a.acrossMm(), a.upwards(), renamed(a.upwardsHole(), ids), a.upwardsMm());
    }

    /** Names of faces and holes of a feature begin with its id. */
    private static String renamed(String name, Map<String, String> ids) {
        int space = name.indexOf(' ');
        String head = space < 0 ? name : name.substring(0, space);
        return ids.containsKey(head) ? ids.get(head) + name.substring(head.length()) : name;
    }

    /**
     * A part bound as another of the same machine is: each role as the other's role of the same name, or else as the first of the same kind. Roles that
     * find none stay as they are.
     *
     * @param together whether both are parts of one upgrade: only there can one be bound to what a third offers, and none to itself
     */
    public static PartDesign bindings(PartDesign from, PartFamily fromKind, PartDesign to, PartFamily toKind, boolean together) {
        PartDesign next = to.siteId().isEmpty() ? to.atSite(from.siteId()) : to;
        for (Role<?> role : toKind.roles()) {
            List<Role<?>> alike = fromKind.roles().stream().filter(r -> r.kind().equals(role.kind()) && from.bindings().containsKey(r.id())).toList();
            Optional<Role<?>> best = alike.stream().filter(r -> r.id().equals(role.id())).findFirst().or(() -> alike.stream().findFirst());
            Optional<Binding> binding = best.map(r -> from.bindings().get(r.id())).filter(b -> !(b instanceof Binding.OfPort p) || together && !p.partId().equals(to.id()));
            if (binding.isPresent()) {
                next = next.bound(role.id(), binding.get());
            }
        }
        return next;
    }
}
