package tinperch.check;

import java.util.List;
import tinperch.fact.Facts;
import tinperch.upgrade.Case;

/** One question asked of every part. Stateless; it reads the case and its facts and nothing else. */
public interface Check {
    /** What it is about, shown while it is at work: "walls". */
    String about();

    /**
     * Its findings.
     *
     * @throws tinperch.solid.Stop.Stopped when nobody waits for them any more
     */
    List<Finding> judge(Case c, Facts facts);
}
