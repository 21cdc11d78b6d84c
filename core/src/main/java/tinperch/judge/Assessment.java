package tinperch.judge;

import java.util.ArrayList;
import java.util.List;
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
