package tinperch.check;

import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tinperch.air.FilterMedium;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.machine.book.Book;
import tinperch.machine.book.HoursRun;
import tinperch.material.Material;
import tinperch.part.form.AirPath;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.upgrade.Case;
import tinperch.upgrade.Change;

/** Does a cartridge hold what the machine gives off, and how long? Carbon holds smells and vapours and lets fine particles through, a fine filter the other way round: both are wanted (common practice). */
public final class FilterCheck implements Check {
    private static final double DAYS_A_MONTH = 30.44;
    /** One that is to be changed more often is forgotten (common practice). */
    private static final double LEAST_MONTHS = 1;

    @Override
    public String about() {
        return "filters";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        facts.get(FormFact.FORM).form().stream().flatMap(f -> f.air().stream()).filter(a -> a.filterMm2() > 0).forEach(a -> {
            all.add(holds(a, "filter." + all.size(), c));
            a.medium().ifPresent(m -> all.add(lasts(m, "filter.life." + all.size(), c.machine().book())));
        });
        return all.stream().map(f -> f.about(Subject.AIR)).toList();
    }

    private static Finding holds(AirPath a, String id, Case c) {
        String fumes = c.machine().materials().stream().map(Material::find).flatMap(Optional::stream).filter(Material::fumes).map(Material::name).collect(Collectors.joining(", "));
        if (a.medium().isEmpty()) {
            return Finding.of(id, Severity.CANT_TELL, "What its cartridge holds is not known", "Say on the part what it is filled with." + (fumes.isEmpty() ? "" : " " + c.machine().name() + " may print " + fumes
                    + ", which gives off fine particles and vapours: a fine filter and carbon are wanted together.")).with(filled(a));
        }
        FilterMedium m = a.medium().get();
        String keeps = "Of the finest particles it keeps " + Quantity.fixed(m.particlesPercent(), m.fine() ? 2 : 0) + " %" + (m.fine() ? " (class H13, EN 1822)" : "") + ", smells and vapours it " + (m.smells() ? "keeps until it is full" : "lets through") + ".";
        if (fumes.isEmpty() || m.fine() && m.smells()) {
            return Finding.of(id, Severity.FINE, "Its cartridge holds what is given off", keeps);
        }
        String passes = m.fine() ? "the vapours" : m.smells() ? "the fine particles" : "fine particles and vapours";
        Finding f = Finding.of(id, Severity.LOOK, "A cartridge of " + m.name() + " lets " + passes + " of " + fumes + " through", keeps + " Use both, and lead the air outdoors where that can be done.").with(filled(a));
        // What is kept of smells is no number of the table.
        return m.fine() ? f : f.measured(new Margin(m.particlesPercent(), FilterMedium.FINE_PERCENT, Unit.PERCENT, true));
    }

    private static List<Remedy> filled(AirPath a) {
        return a.filling().stream().flatMap(p -> FilterMedium.ALL.stream().map(m -> Remedy.of("fill it with " + m.name(), new Change.Set<>(p, Optional.of(m.name()))))).toList();
    }

    private static Finding lasts(FilterMedium m, String id, Book book) {
        double months = monthsOf(m, book).orElse(m.lifeMonths());
        String worn = "Usually " + Quantity.fixed(m.lifeH(), 0) + " hours or " + Quantity.fixed(m.lifeMonths(), 0) + " months, whichever comes first (common practice)";
        String runs = monthsOf(m, book).map(x -> "; as this machine ran between the counter's readings of its book, the hours are over after " + Quantity.fixed(x, 1) + " months.").orElse("; how much this machine runs its book does not say.");
        boolean soon = months < LEAST_MONTHS;
        String after = Quantity.fixed(Math.min(months, m.lifeMonths()), 1).replaceAll("\\.0$", "");
        return Finding.of(id, soon ? Severity.LOOK : Severity.FINE, soon ? "Its cartridge is full after " + after + " months" : "Its cartridge is to be changed after " + after + " months", worn + runs
                + (soon ? " A larger one, or one with a coarse mat before it, lasts longer." : " The date can be engraved on the cover."));
    }

    /** How many months the hours last, going by the hour counter; empty where it was read less than twice, or did not move. */
    private static Optional<Double> monthsOf(FilterMedium m, Book book) {
        List<HoursRun> h = book.hours();
        if (h.size() < 2) {
            return Optional.empty();
        }
        HoursRun first = h.get(0);
        HoursRun last = h.get(h.size() - 1);
        double months = ChronoUnit.DAYS.between(first.on(), last.on()) / DAYS_A_MONTH;
        double ran = last.hours() - first.hours();
        return ran > 0 && months > 0 ? Optional.of(m.lifeH() / (ran / months)) : Optional.empty();
    }
}
