package tinperch.upgrade;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tinperch.part.PartFamily;
import tinperch.part.bind.Ref;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.feature.Copies;
import tinperch.part.feature.Feature;
import tinperch.part.form.Lie;
import tinperch.part.param.Param;
import tinperch.quantity.Quantity;

/** What changed from one design to the next, in the owner's words. */
public final class Differences {
    private Differences() {}

    /** One changed thing: "Plate thickness", "6 mm", "8 mm". */
    public record Difference(String label, String before, String after) {
        @Override
        public String toString() {
            return label + " " + before + " → " + after;
        }
    }

    /**
     * All differences, in the order of the family's parameters; empty when nothing changed.
     *
     * @param thenRefs what its roles were resolved to, empty when that was not kept
     */
    public static List<Difference> between(PartDesign then, Optional<Refs> thenRefs, PartDesign now, Optional<Refs> nowRefs) {
        List<Difference> out = new ArrayList<>();
        text(out, "Part", then.name(), now.name());
        text(out, "Material", then.material(), now.material());
        Optional<PartFamily> family = Families.byId(now.familyId());
        if (!then.familyId().equals(now.familyId())) {
            text(out, "Kind of part", title(then.familyId()), title(now.familyId()));
        } else if (family.isPresent()) {
            for (Param<?> p : family.get().params()) {
                String card = p.card().title().startsWith("Holds: ") ? p.card().title().substring(7) + ": " : "";
                text(out, card.isEmpty() ? p.label() : card + Quantity.inSentence(p.label()), p.show(then.values()), p.show(now.values()));
            }
            if (thenRefs.isPresent() && nowRefs.isPresent()) {
                family.get().roles().forEach(r -> text(out, sentence(r), says(thenRefs.get(), r), says(nowRefs.get(), r)));
            }
        }
        Stream.concat(then.lies().keySet().stream(), now.lies().keySet().stream()).sorted().distinct()
                .forEach(piece -> text(out, "How the " + piece + " lies", Lie.of(piece, then.lies()).where(), Lie.of(piece, now.lies()).where()));
        features(out, then.features(), now.features());
        return out;
    }

    private static String title(String familyId) {
        return Families.byId(familyId).map(PartFamily::title).orElse(familyId);
    }

    private static String sentence(Role<?> r) {
        return r.label().substring(0, 1).toUpperCase(java.util.Locale.ROOT) + r.label().substring(1);
    }

    private static String says(Refs refs, Role<?> role) {
        Map<String, Ref> all = refs.byRole();
        return all.containsKey(role.id()) ? all.get(role.id()).says() : "none";
    }

    private static void features(List<Difference> out, List<Feature> then, List<Feature> now) {
        for (Feature f : now) {
            Optional<Feature> before = then.stream().filter(x -> x.id().equals(f.id())).findFirst();
            if (!before.equals(Optional.of(f))) {
                out.add(new Difference(f.name(), before.map(Differences::words).orElse("none"), words(f)));
            }
        }
        then.stream().filter(f -> now.stream().noneMatch(x -> x.id().equals(f.id()))).forEach(f -> out.add(new Difference(f.name(), words(f), "none")));
    }

    private static String words(Feature f) {
        return f.off() ? "off" : FeatureKinds.byId(f.kindId()).map(k -> k.title() + " " + k.summary(f.values()) + Copies.summary(f.values())).orElse(f.kindId())
                + (f.anchor() == null || f.anchor().face().isEmpty() ? "" : " at " + Quantity.mm(f.anchor().acrossMm()) + ", " + Quantity.mm(f.anchor().upwardsMm()));
    }

    private static void text(List<Difference> out, String label, String before, String after) {
        if (!before.equals(after)) {
            out.add(new Difference(label, before, after));
        }
    }
}
