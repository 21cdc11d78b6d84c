package tinperch.desktop.cli;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.check.Remedy;
import tinperch.check.Settle;
import tinperch.check.Severity;
import tinperch.files.json.Json;
import tinperch.judge.Judge;
import tinperch.part.param.PartProblem;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** Prints the findings of every part, tightest first. */
@CommandLine.Command(name = "check", mixinStandardHelpOptions = true,
        description = "Prints the findings of every part. Ends with 2 when something stops, 3 when something cannot be told, 1 when the workshop or the file cannot be read, or not all of it.")
public final class CheckCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private DemoOption workshop = new DemoOption();

    @CommandLine.Parameters(arity = "0..1", paramLabel = "FILE", description = "a workshop file (docs/WORKSHOP-FORMAT.md) instead of your own workshop")
    private Path file;

    @CommandLine.Option(names = "--json", description = "as JSON")
    private boolean json;

    /** One part's findings as printed. */
    record Report(String machine, String upgrade, String part, String key, List<Said> findings) {}

    /** A finding as documented in docs/WORKSHOP-FORMAT.md. */
    record Said(String severity, String id, String what, String why, Double value, Double limit, String unit, String piece, String feature, List<Cure> remedies, String settledBy, Map<String, Double> pose, String accepted) {
        static String word(Severity s) {
            return s.name().toLowerCase(java.util.Locale.ROOT);
        }

        static Said of(Finding f) {
            Optional<Margin> m = f.margin();
            return new Said(word(f.severity()), f.id(), f.what(), f.why(), m.map(Margin::value).orElse(null),
                    m.map(Margin::limit).orElse(null), m.map(x -> x.unit().symbol()).orElse(null), f.pieceId(), f.feature(), f.remedies().stream().map(Cure::of).toList(), f.settle().map(Settle::label).orElse(null), f.pose().isEmpty() ? null : new java.util.TreeMap<>(f.pose()),
                    f.accepted().isEmpty() ? null : f.accepted());
        }
    }

    /** A remedy: what it changes and what it leaves. */
    record Cure(String label, List<String> changes, String leaves) {
        static Cure of(Remedy r) {
            return new Cure(r.label(), r.changes().stream().map(Object::toString).toList(), r.leaves());
        }
    }

    @Override
    public Integer call() throws IOException {
        List<String> problems = new ArrayList<>();
        List<Report> reports = workshop.look(file, seen -> {
            problems.addAll(seen.problems());
            List<Report> all = new ArrayList<>();
            for (Upgrade u : seen.state().upgrades()) {
                for (PartDesign p : u.parts()) {
                    all.add(report(u, p, seen));
                }
            }
            return all;
        });
        if (json) {
            System.out.println(Json.pretty(Map.of("parts", reports, "problems", problems)));
        } else {
            problems.forEach(x -> System.out.println("! " + x));
            reports.forEach(CheckCommand::print);
        }
        return worst(reports, problems);
    }

    private static Report report(Upgrade u, PartDesign p, DemoOption.Seen seen) {
        String machine = seen.state().machine(u.machineId()).map(m -> m.name()).orElse("");
        try {
            Case c = Case.of(u, p.id(), seen.shop(), seen.state().nextMark(u.id(), p.id()));
            return new Report(machine, u.name(), p.name(), c.key().hex(), Judge.thorough(c).findings().stream().map(Said::of).toList());
        } catch (PartProblem e) {
            return new Report(machine, u.name(), p.name(), "", List.of(Said.of(Finding.of("case", Severity.CANT_TELL, "The part could not be looked at", e.getMessage()))));
        }
    }

    private static int worst(List<Report> reports, List<String> problems) {
        Set<String> all = reports.stream().flatMap(r -> r.findings.stream()).filter(f -> f.accepted == null).map(Said::severity).collect(Collectors.toSet());
        // A workshop that cannot be read whole is no good answer, whatever its parts say.
        return !problems.isEmpty() ? 1 : all.contains(Said.word(Severity.STOP)) ? 2 : all.contains(Said.word(Severity.CANT_TELL)) ? 3 : 0;
    }

    private static void print(Report r) {
        System.out.println(r.machine + ": " + r.upgrade + ", " + r.part);
        for (Said f : r.findings) {
            System.out.printf("  %-10s %s%n             %s%n", Severity.valueOf(f.severity.toUpperCase(java.util.Locale.ROOT)).label() + (f.accepted == null ? "" : ", accepted"), f.what, f.why);
            f.remedies.forEach(m -> System.out.println("             → " + m.label + (m.leaves.isEmpty() ? "" : " (" + m.leaves + ")")));
        }
    }
}
