package tinperch.desktop.station;

import java.util.Optional;
import tinperch.desktop.desk.Desk;
import tinperch.upgrade.Case;
import tinperch.upgrade.Copying;
import tinperch.upgrade.Families;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** Binds every role of the part shown as another part of the same machine is bound. */
final class BindAsIn {
    private final Desk desk;
    private final String upgradeId;

    private BindAsIn(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
    }

    /** The menu of those parts that would change anything. */
    static TakeOver menu(Desk desk, String upgradeId) {
        BindAsIn b = new BindAsIn(desk, upgradeId);
        return new TakeOver(desk, "bind-as-in", "Bind all as in", "Each row bound as the row of the same name or kind of another part of this machine", b::says, b::take);
    }

    private Optional<String> says(Upgrade u, PartDesign other) {
        return bound(u, other).map(next -> next.bindings().size() == 1 ? "1 binding" : next.bindings().size() + " bindings");
    }

    private Optional<String> take(Upgrade u, PartDesign other) {
        return bound(u, other).flatMap(next -> desk.edits().make(upgradeId, next, "bind all as in " + other.name()));
    }

    /** The part as the other is bound; empty where that changes nothing. */
    private Optional<PartDesign> bound(Upgrade u, PartDesign other) {
        Optional<Case> looked = desk.looked();
        if (looked.isEmpty() || !u.machineId().equals(looked.get().machine().id()) || u.id().equals(upgradeId) && other.id().equals(looked.get().part().id())) {
            return Optional.empty();
        }
        PartDesign mine = looked.get().part();
        return Families.byId(other.familyId()).flatMap(from -> looked.get().family().map(to -> Copying.bindings(other, from, mine, to, u.id().equals(upgradeId)))).filter(next -> !next.equals(mine));
    }
}
