package tinperch.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import tinperch.check.Finding;
import tinperch.check.Severity;

/**
 * What is known of a part's judgement so far.
 *
 * @param findings tightest first
 * @param pending what is still being looked at, "walls"; empty when all is done
 */
public record Assessment(List<Finding> findings, List<String> pending) {
    public static final Assessment NONE = new Assessment(List.of(), List.of());

    public Assessment {
        findings = findings.stream().sorted(Finding::tightestFirst).toList();
        pending = List.copyOf(pending);
    }

    /** How many findings have a severity and were not accepted. */
    public long count(Severity severity) {
        return findings.stream().filter(f -> f.severity() == severity && f.accepted().isEmpty()).count();
    }

    /** How many were accepted. */
    public long accepted() {
        return findings.stream().filter(f -> !f.accepted().isEmpty()).count();
    }

    /** With a check done. */
    public Assessment done(String about, List<Finding> more) {
        List<Finding> all = new ArrayList<>(findings);
        all.addAll(more);
        return new Assessment(all, pending.stream().filter(p -> !p.equals(about)).toList());
    }

    /** With what the checks that are not done yet said before, so that nothing goes and comes again while they are at it. */
    public Assessment over(List<Finding> before) {
        Set<String> told = findings.stream().map(Finding::id).collect(Collectors.toSet());
        List<Finding> all = new ArrayList<>(findings);
        before.stream().filter(f -> f.check() != null && pending.contains(f.check().about()) && !told.contains(f.id())).forEach(all::add);
        return new Assessment(all, pending);
    }

    /** Of all that is known, in words: "2 stops, 1 to look at". */
    public String words() {
        List<String> parts = new ArrayList<>();
        say(parts, count(Severity.STOP), " stop", " stops");
        say(parts, count(Severity.LOOK), " to look at", " to look at");
        say(parts, count(Severity.CANT_TELL), " can't tell", " can't tell");
        say(parts, accepted(), " accepted", " accepted");
        if (!pending.isEmpty()) {
            parts.add("judging…");
        }
        // Over what nobody looked at nothing is called fine.
        return !parts.isEmpty() ? String.join(", ", parts) : findings.isEmpty() ? "not judged" : "all fine";
    }

    private static void say(List<String> parts, long n, String one, String many) {
        if (n > 0) {
            parts.add(n + (n == 1 ? one : many));
        }
    }
}
