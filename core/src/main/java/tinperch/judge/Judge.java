package tinperch.judge;

import java.util.ArrayList;
import java.util.List;
import tinperch.check.Check;
import tinperch.check.Finding;
import tinperch.check.Settle;
import tinperch.check.Severity;
import tinperch.fact.Facts;
import tinperch.fact.FactsOnce;
import tinperch.solid.Stop;
import tinperch.solid.kernel.Hands;
import tinperch.upgrade.Case;

/** Asks every check about a case. */
public final class Judge {
    private Judge() {}

    /** All findings with remedies as the checks propose them, on the calling thread. */
    public static Assessment judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (Check check : Checks.ALL) {
            all.addAll(ask(check, c, facts));
        }
        return new Assessment(all, List.of());
    }

    /** All findings with remedies tried out, on the calling thread: for scripts and tests. */
    public static Assessment thorough(Case c) {
        Facts facts = new FactsOnce(c);
        Assessment a = judge(c, facts);
        return Prover.proven(a, Prover.all(c, a, facts::of, Hands.ONE));
    }

    /** One check's findings; a check that fails says so instead of leaving a hole nobody sees. */
    public static List<Finding> ask(Check check, Case c, Facts facts) {
        try {
            return check.judge(c, facts).stream().map(f -> Acceptance.of(f.saidBy(check), c.part())).toList();
        } catch (Stop.Stopped e) {
            throw e;
        } catch (RuntimeException e) {
            return List.of(Finding.of("check." + check.about(), Severity.CANT_TELL, "The " + check.about() + " could not be judged",
                    "The reckoning failed (" + e + "). Everything else stands; change the part a little, or have it judged again.").settledBy(Settle.By.AGAIN, "", "judge it again"));
        }
    }
}
