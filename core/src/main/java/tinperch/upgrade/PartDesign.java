package tinperch.upgrade;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.part.bind.Binding;
import tinperch.part.feature.Feature;
import tinperch.part.form.Lie;
import tinperch.part.param.Values;

/**
 * A part as designed.
 *
 * @param id unique within its upgrade
 * @param familyId which kind of part
 * @param name its own name, used in exports
 * @param material name of a row of the materials
 * @param bindings what each role is bound to
 * @param features placed by the person, in the order they are made
 * @param siteId the site of the machine it mounts on; empty when none was chosen
 * @param accepted findings its owner lives with
 * @param loads forces it bears
 * @param lies on which side pieces lie on the bed, by their ids; what is not said lies on its bottom
 */
public record PartDesign(String id, String familyId, String name, Values values, String material, Map<String, Binding> bindings,
        List<Feature> features, String siteId, List<Accepted> accepted, List<Load> loads, Map<String, Lie> lies) {
    /** What a new part is to be printed in: tough, easy, and stands some warmth (common practice for parts of machines). */
    public static final String FIRST_MATERIAL = "PETG";
    private static final int MOST_LOADS = 50;
    private static final int MOST_TURNED = 100;
    /** More features than this are a broken file. */
    public static final int MOST_FEATURES = 500;

    public PartDesign {
        java.util.Objects.requireNonNull(familyId, "familyId");
        id = id == null || id.isBlank() ? "p1" : id;
        name = name == null ? "" : name;
        values = values == null ? Values.START : values;
        material = material == null || material.isBlank() ? FIRST_MATERIAL : material;
        Map<String, Binding> known = new TreeMap<>();
        if (bindings != null) {
            bindings.forEach((r, b) -> {
                if (b != null) {
                    known.put(r, b);
                }
            });
        }
        bindings = Collections.unmodifiableMap(known);
        features = features == null ? List.of() : features.stream().filter(f -> f != null).limit(MOST_FEATURES).toList();
        siteId = siteId == null ? "" : siteId;
        accepted = accepted == null ? List.of() : accepted.stream().filter(a -> a != null).toList();
        loads = loads == null ? List.of() : loads.stream().filter(l -> l != null && l.id() != null).limit(MOST_LOADS).toList();
        Map<String, Lie> turned = new TreeMap<>();
        if (lies != null) {
            lies.forEach((piece, lie) -> {
                if (lie != null && lie != Lie.BOTTOM && turned.size() < MOST_TURNED) {
                    turned.put(piece, lie);
                }
            });
        }
        lies = Collections.unmodifiableMap(turned);
    }

    /** One of which nothing was accepted. */
    public PartDesign(String id, String familyId, String name, Values values, String material, Map<String, Binding> bindings, List<Feature> features, String siteId) {
        this(id, familyId, name, values, material, bindings, features, siteId, List.of(), List.of(), Map.of());
    }

    /** With a finding accepted; one accepted before under its id is replaced. */
    public PartDesign accepting(Accepted a) {
        List<Accepted> next = new ArrayList<>(notAccepting(a.findingId()).accepted);
        next.add(a);
        return new PartDesign(id, familyId, name, values, material, bindings, features, siteId, next, loads, lies);
    }

    /** With a finding open again. */
    public PartDesign notAccepting(String findingId) {
        return new PartDesign(id, familyId, name, values, material, bindings, features, siteId, accepted.stream().filter(a -> !a.findingId().equals(findingId)).toList(), loads, lies);
    }

    /** A new part of a family. */
    public static PartDesign of(String id, String familyId, String name, Values values) {
        return new PartDesign(id, familyId, name, values, FIRST_MATERIAL, Map.of(), List.of(), "");
    }

    /** With other values. */
    public PartDesign with(Values next) {
        return new PartDesign(id, familyId, name, next, material, bindings, features, siteId, accepted, loads, lies);
    }

    /** To be printed in another material. */
    public PartDesign withMaterial(String next) {
        return new PartDesign(id, familyId, name, values, next, bindings, features, siteId, accepted, loads, lies);
    }

    /** Under another name. */
    public PartDesign withName(String next) {
        return new PartDesign(id, familyId, next, values, material, bindings, features, siteId, accepted, loads, lies);
    }

    /** Under another id. */
    public PartDesign withId(String next) {
        return new PartDesign(next, familyId, name, values, material, bindings, features, siteId, accepted, loads, lies);
    }

    /** Mounted on another site; on none when its id is empty. */
    public PartDesign atSite(String next) {
        return new PartDesign(id, familyId, name, values, material, bindings, features, next, accepted, loads, lies);
    }

    /** With a role bound to something else. */
    public PartDesign bound(String roleId, Binding binding) {
        Map<String, Binding> copy = new TreeMap<>(bindings);
        copy.put(roleId, binding);
        return new PartDesign(id, familyId, name, values, material, copy, features, siteId, accepted, loads, lies);
    }

    /** With all roles bound as told. */
    public PartDesign bound(Map<String, Binding> next) {
        return new PartDesign(id, familyId, name, values, material, next, features, siteId, accepted, loads, lies);
    }

    /** With a load put on, or changed when its id is known. */
    public PartDesign bearing(Load load) {
        List<Load> next = new ArrayList<>(withoutLoad(load.id()).loads);
        next.add(load);
        return new PartDesign(id, familyId, name, values, material, bindings, features, siteId, accepted, next, lies);
    }

    /** Without a load. */
    public PartDesign withoutLoad(String loadId) {
        return new PartDesign(id, familyId, name, values, material, bindings, features, siteId, accepted, loads.stream().filter(l -> !l.id().equals(loadId)).toList(), lies);
    }

    /** With a piece laid on another side. */
    public PartDesign laid(String pieceId, Lie lie) {
        Map<String, Lie> copy = new TreeMap<>(lies);
        copy.put(pieceId, lie);
        return new PartDesign(id, familyId, name, values, material, bindings, features, siteId, accepted, loads, copy);
    }

    /** A feature by its id; empty when there is none of it. */
    public Optional<Feature> feature(String featureId) {
        return features.stream().filter(f -> f.id().equals(featureId)).findFirst();
    }

    /** An id no feature has yet. */
    public String nextFeatureId() {
        int n = 1;
        while (feature("f" + n).isPresent()) {
            n++;
        }
        return "f" + n;
    }

    /** With a feature put in, or changed when its id is known. */
    public PartDesign with(Feature feature) {
        List<Feature> next = new ArrayList<>(features);
        int at = features.stream().map(Feature::id).toList().indexOf(feature.id());
        if (at >= 0) {
            next.set(at, feature);
        } else {
            next.add(feature);
        }
        return withFeatures(next);
    }

    /** Without a feature. */
    public PartDesign withoutFeature(String featureId) {
        return withFeatures(features.stream().filter(f -> !f.id().equals(featureId)).toList());
    }

    private PartDesign withFeatures(List<Feature> next) {
        return new PartDesign(id, familyId, name, values, material, bindings, next, siteId, accepted, loads, lies);
    }
}
