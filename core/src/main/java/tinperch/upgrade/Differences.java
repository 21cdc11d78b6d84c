package tinperch.upgrade;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.Parameter;
import tinperch.part.PartDesign;
import tinperch.part.PartFamily;
import tinperch.part.Values;
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

    /** All differences, in the order of the family's parameters; empty when nothing changed. */
    public static List<Difference> between(Upgrade before, Upgrade after) {
        List<Difference> out = new ArrayList<>();
        if (after.part().isEmpty()) {
            return out;
        }
        PartDesign now = after.part().get();
        if (before.part().isEmpty()) {
            out.add(new Difference("Part", "none", now.name()));
            return out;
        }
        PartDesign then = before.part().get();
        text(out, "Part", then.name(), now.name());
        text(out, "Material", then.material(), now.material());
        if (then.familyId().equals(now.familyId())) {
            Families.byId(now.familyId()).ifPresent(f -> values(f, then, now, out));
        } else {
            text(out, "Kind of part", then.familyId(), now.familyId());
        }
        after.sheets().forEach((role, sheet) -> {
            if (!sheet.readings().equals(before.sheet(role).readings())) {
                out.add(new Difference("Readings of " + sheet.name(), count(before, role), count(after, role)));
            }
        });
        return out;
    }

    private static String count(Upgrade u, String role) {
        return u.sheet(role).readings().values().stream().mapToInt(List::size).sum() + " readings";
    }

    private static void values(PartFamily family, PartDesign then, PartDesign now, List<Difference> out) {
        Values a = then.values().over(family.start());
        Values b = now.values().over(family.start());
        for (Parameter p : family.parameters()) {
            String group = p.group().startsWith("Holds: ") ? p.group().substring(7) + ": " : "";
            text(out, group.isEmpty() ? p.label() : group + Quantity.inSentence(p.label()), p.show(a), p.show(b));
        }
    }

    private static void text(List<Difference> out, String label, String before, String after) {
        if (!before.equals(after)) {
            out.add(new Difference(label, before, after));
        }
    }
}
