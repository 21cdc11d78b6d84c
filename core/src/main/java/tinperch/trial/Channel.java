package tinperch.trial;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One thing that was recorded over time.
 *
 * @param id within its run, its place among the samples of a row is that among the run's channels
 * @param kind what it is of
 * @param of which one: of a spot the upgrade and part, "upgrade/part", of a contact or wire the component's id, of a target or duty the channel it drives; empty where it is not said
 * @param revision of the part, "R3"; empty where it is not said
 * @param where on it, in words
 * @param limitC a limit of its own, °C; 0 for none
 * @param kept what was reckoned of its samples when they were taken in; empty before
 * @param spot the place on the part, when it was pointed at
 */
public record Channel(String id, String name, Kind kind, String of, String revision, String where, double limitC, Optional<Kept> kept, Optional<SpotAt> spot) {
    public Channel {
        name = name == null ? "" : name;
        kind = kind == null ? Kind.OTHER : kind;
        of = of == null ? "" : of;
        revision = revision == null ? "" : revision;
        where = where == null ? "" : where;
        limitC = Double.isFinite(limitC) ? limitC : 0;
        kept = kept == null ? Optional.empty() : kept;
        spot = spot == null ? Optional.empty() : spot;
    }

    /** What a channel is of. */
    public enum Kind {
        HOT_END("hot end"), BED("bed"), CHAMBER("chamber"), ROOM("room"), SPOT("a spot on a part"), CONTACT("a contact or wire"), TARGET("a target"), DUTY("a heater's duty"), ACCELERATION("an acceleration"), OTHER("something else");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether it is a temperature that somebody wants low: of a part or of what carries current. */
        public boolean isEndangered() {
            return this == SPOT || this == CONTACT;
        }

        /** Whether a board heats it. */
        boolean isHeated() {
            return this == HOT_END || this == BED || this == CHAMBER;
        }

        /** What a name suggests: "Contact [°C]", "T0", "B/target". */
        public static Kind of(String name) {
            String n = name.toLowerCase(Locale.ROOT).strip();
            if (n.endsWith("/target") || n.contains("target") || n.contains("set point") || n.contains("setpoint")) {
                return TARGET;
            }
            if (n.contains("@") || n.contains("duty") || n.contains("%") || n.contains("pwm")) {
                return DUTY;
            }
            // A bed's connector is a connector.
            if (n.matches(".*(contact|connector|terminal|wire|plug|clamp).*")) {
                return CONTACT;
            }
            if (n.matches("(acc|accel|acceleration|a)?[ _]?[xyz]([ _]?axis)?|acc.*|vibration.*")) {
                return ACCELERATION;
            }
            if (n.matches("t\\d?|hot ?end.*|nozzle.*|block.*|tool\\b.*|extruder.*")) {
                return HOT_END;
            }
            if (n.matches("b|bed.*|plate.*")) {
                return BED;
            }
            if (n.matches("c|chamber.*|enclosure.*|box.*")) {
                return CHAMBER;
            }
            if (n.matches("a|room.*|ambient.*|air.*|boathouse.*")) {
                return ROOM;
            }
            return n.matches(".*(part|carriage|duct|bracket|spot|plastic).*") ? SPOT : OTHER;
        }
    }

    /** One as a file names it. */
    public static Channel named(String id, String name) {
        return new Channel(id, name, Kind.of(name), "", "", "", 0, Optional.empty(), Optional.empty());
    }

    /** Those of a file, in its order: what drives one of the others says which, as its name does: "B/target", "B@", "@0" (of T0), "Bed duty %". */
    public static List<Channel> allNamed(List<String> names) {
        List<Channel> all = new ArrayList<>();
        names.forEach(n -> all.add(named("c" + all.size(), n)));
        all.replaceAll(c -> c.kind == Kind.TARGET || c.kind == Kind.DUTY ? c.of(driven(c.name, all), "") : c);
        return all;
    }

    private static String driven(String name, List<Channel> all) {
        String base = name.toLowerCase(Locale.ROOT).replaceAll("/target|target|set ?point|duty|pwm|[@%]", " ").strip();
        String of = base.isEmpty() ? "t" : base.matches("\\d") ? "t" + base : base;
        return all.stream().filter(c -> c.name.strip().equalsIgnoreCase(of)).findFirst().or(() -> all.stream().filter(c -> c.kind.isHeated() && c.kind == Kind.of(of)).findFirst()).map(Channel::id).orElse("");
    }

    /** Under another name. */
    public Channel withName(String next) {
        return new Channel(id, next, kind, of, revision, where, limitC, kept, spot);
    }

    /** Of another kind; what it was of is forgotten. */
    public Channel withKind(Kind next) {
        return new Channel(id, name, next, next == kind ? of : "", next == kind ? revision : "", where, limitC, kept, next == kind ? spot : Optional.empty());
    }

    /** Of a part's spot or of a component. */
    public Channel of(String what, String rev) {
        return new Channel(id, name, kind, what, rev, where, limitC, kept, what.equals(of) ? spot : Optional.empty());
    }

    /** Measured at a place, in words. */
    public Channel where(String next) {
        return new Channel(id, name, kind, of, revision, next, limitC, kept, spot);
    }

    /** At a place on the part that was pointed at. */
    public Channel at(SpotAt next) {
        return new Channel(id, name, kind, of, revision, where, limitC, kept, Optional.of(next));
    }

    /** With a limit of its own, °C; 0 for none. */
    public Channel withLimit(double nextC) {
        return new Channel(id, name, kind, of, revision, where, nextC, kept, spot);
    }

    /** With what was reckoned of its samples. */
    public Channel keeping(Kept what) {
        return new Channel(id, name, kind, of, revision, where, limitC, Optional.of(what), spot);
    }

    /** Whether its values are temperatures. */
    public boolean isTemperature() {
        return kind != Kind.DUTY && kind != Kind.ACCELERATION;
    }
}
