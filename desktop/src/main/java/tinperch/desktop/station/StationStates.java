package tinperch.desktop.station;

import java.util.List;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Station;
import tinperch.machine.Machine;
import tinperch.part.bind.Ref;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/** The short state each station shows: what is there, or what is missing. */
final class StationStates {
    private StationStates() {}

    static String of(Station station, Upgrade u, Desk desk) {
        return switch (station) {
            case TROUBLE -> u.trouble().seen().isEmpty() ? "not written down" : u.trouble().baselineValue().isEmpty() ? "no baseline yet" : "was " + u.trouble().baselineValue();
            case MEASURE -> measured(u, desk);
            case SHAPE -> u.parts().isEmpty() ? "no part yet" : desk.assessmentProperty().get().words();
            case DRY_FIT -> u.parts().isEmpty() ? "no part yet" : tightest(desk);
            case PRINT -> u.parts().isEmpty() ? "no part yet" : "on " + desk.state().machine(u.hostMachineId()).map(Machine::name).orElse("no machine")
                    + desk.part().map(p -> ", " + p.material()).orElse("");
            case TRIAL -> u.trials().isEmpty() ? "not tried yet" : u.trials().get(u.trials().size() - 1).says().label();
            case VERDICT -> verdict(desk.state().revisionsOf(u.id()));
        };
    }

    /** The tightest margin that is open. */
    private static String tightest(Desk desk) {
        if (desk.part().map(p -> p.siteId().isEmpty()).orElse(true)) {
            return "no site yet";
        }
        return desk.assessmentProperty().get().findings().stream().filter(f -> f.isOpen() && f.margin().isPresent()).findFirst().map(f -> f.margin().orElseThrow().sayMissing()).orElse(desk.assessmentProperty().get().words());
    }

    private static String verdict(List<Revision> kept) {
        return kept.isEmpty() ? "nothing kept yet" : kept.size() + " kept, " + Quantity.show(kept.get(kept.size() - 1).life().hours(), Unit.HOURS) + " last";
    }

    /** How many of all that the parts ask for was measured. */
    private static String measured(Upgrade u, Desk desk) {
        int asked = 0;
        int done = 0;
        for (PartDesign p : u.parts()) {
            for (Ref r : desk.caseOf(u, p.id()).map(c -> c.recipe().refs().byRole().values()).orElse(List.of())) {
                asked++;
                done += r.known().isMeasured() ? 1 : 0;
            }
        }
        if (asked == 0) {
            long read = desk.state().machine(u.machineId()).map(m -> m.sheets().stream().filter(s -> s.id().startsWith(u.id() + ".") && !s.readings().isEmpty()).count()).orElse(0L);
            return read == 0 ? "nothing read yet" : read + (read == 1 ? " sheet read" : " sheets read");
        }
        return done + " of " + asked + " measured";
    }
}
