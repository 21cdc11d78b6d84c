package tinperch.part.bind;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.part.param.PartProblem;

/**
 * What the roles of a part are resolved to.
 *
 * @param byRole references by the role's id
 * @param problems why a role is resolved to nothing, by the role's id
 */
public record Refs(Map<String, Ref> byRole, Map<String, String> problems) {
    public static final Refs NONE = new Refs(Map.of(), Map.of());

    public Refs {
        TreeMap<String, Ref> known = byRole == null ? new TreeMap<>() : new TreeMap<>(byRole);
        known.values().removeIf(r -> r == null);
        byRole = Collections.unmodifiableMap(known);
        problems = problems == null ? Map.of() : Collections.unmodifiableMap(new TreeMap<>(problems));
    }

    /** What a role is resolved to; empty when it is resolved to nothing. */
    public <R extends Ref> Optional<R> of(Role<R> role) {
        return Optional.ofNullable(byRole.get(role.id())).filter(role.kind().type()::isInstance).map(role.kind().type()::cast);
    }

    /**
     * What a feature is made around.
     *
     * @throws PartProblem when that is gone
     */
    public <R extends Ref> R ofFeature(String featureId, RefKind<R> kind) {
        Ref ref = byRole.get(feature(featureId));
        if (!kind.type().isInstance(ref)) {
            throw new PartProblem(problems.getOrDefault(feature(featureId), "It is made around nothing; choose what it is to be around."));
        }
        return kind.type().cast(ref);
    }

    /** What stands in for a role where a feature is bound. */
    public static String feature(String featureId) {
        return "feature." + featureId;
    }

    /** With a role resolved. */
    public Refs with(String roleId, Ref ref) {
        Map<String, Ref> next = new TreeMap<>(byRole);
        next.put(roleId, ref);
        return new Refs(next, problems);
    }
}
