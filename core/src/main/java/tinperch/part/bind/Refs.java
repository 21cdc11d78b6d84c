package tinperch.part.bind;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

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

    /** With a role resolved. */
    public Refs with(String roleId, Ref ref) {
        Map<String, Ref> next = new TreeMap<>(byRole);
        next.put(roleId, ref);
        return new Refs(next, problems);
    }
}
