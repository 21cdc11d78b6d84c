package tinperch.desktop.cli;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import tinperch.check.Finding;
import tinperch.check.Margin;
import tinperch.files.json.Json;
import tinperch.upgrade.Assessor;

/** Prints the findings of every part, tightest first. */
@CommandLine.Command(name = "check", mixinStandardHelpOptions = true,
        description = "Prints the findings of every part. Ends with 2 when there is a Stop.")
public final class CheckCommand implements Callable<Integer> {
    @CommandLine.Mixin
    private DemoOption workshop = new DemoOption();

    @CommandLine.Option(names = "--json", description = "as JSON")
    private boolean json;

    /** One upgrade's findings as printed. */
    record Report(String upgrade, String machine, List<Finding> findings) {}

    @Override
    public Integer call() throws IOException {
        List<Report> reports = workshop.look((state, shop) -> state.upgrades().stream().map(u -> new Report(u.name(),
                state.machine(u.machineId()).orElseThrow().name(), Assessor.assess(u, shop, state.nextMark(u.id())).findings())).toList());
        if (json) {
            System.out.println(Json.pretty(Map.of("upgrades", reports)));
        } else {
            reports.forEach(CheckCommand::print);
        }
        boolean stop = reports.stream().flatMap(r -> r.findings().stream())
                .anyMatch(f -> f.word() == tinperch.check.Word.STOP);
        return stop ? 2 : 0;
    }

    private static void print(Report r) {
        System.out.println(r.machine + ": " + r.upgrade);
        for (Finding f : r.findings) {
            System.out.printf("  %-5s %s (%s)%n        %s%n", f.word().label(), f.what(),
                    f.margin().map(Margin::sayMissing).orElse("–"), f.why());
            f.remedies().forEach(m -> System.out.println("        → " + m.label()));
        }
        if (r.findings.isEmpty()) {
            System.out.println("  no part yet");
        }
    }
}
