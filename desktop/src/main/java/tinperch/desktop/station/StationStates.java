package tinperch.desktop.station;

import java.util.List;
import tinperch.check.Finding;
import tinperch.check.Word;
import tinperch.desktop.Station;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.PatternSheet;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Families;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/** The short state each station shows: what is there, or what is missing. */
final class StationStates {
    private StationStates() {}

    static String of(Station station, Upgrade u, List<Finding> findings, List<Revision> kept, String hostName) {
        return switch (station) {
            case TROUBLE -> u.trouble().seen().isEmpty() ? "not written down"
                    : u.trouble().baselineValue().isEmpty() ? "no baseline yet" : "was " + u.trouble().baselineValue();
            case MEASURE -> measured(u);
            case SHAPE -> u.part().isEmpty() ? "no part yet" : margins(findings);
            case PRINT -> u.part().isEmpty() ? "no part yet" : "on " + hostName + ", " + u.part().get().material();
            case VERDICT -> kept.isEmpty() ? "nothing kept yet" : kept.size() + " kept, "
                    + Quantity.show(kept.get(kept.size() - 1).life().hours(), Unit.HOURS) + " last";
        };
    }

    private static String measured(Upgrade u) {
        long wanted = u.part().flatMap(p -> Families.byId(p.familyId())).map(f -> (long) f.roles().size())
                .orElse(Math.max(1L, u.sheets().size()));
        long done = u.sheets().values().stream().filter(s -> MeasuredPattern.of(s).isPresent()).count();
        int pairs = u.sheets().values().stream().mapToInt(PatternSheet::pairsMeasured).sum();
        if (wanted == 0) {
            return "nothing needed";
        }
        return pairs == 0 ? "nothing read yet" : done + " of " + wanted + " patterns";
    }

    private static String margins(List<Finding> findings) {
        long stops = findings.stream().filter(f -> f.word() == Word.STOP).count();
        long looks = findings.stream().filter(f -> f.word() == Word.LOOK).count();
        return stops > 0 ? stops + (stops == 1 ? " stop" : " stops") : looks > 0 ? looks + " to look at" : "all fine";
    }
}
