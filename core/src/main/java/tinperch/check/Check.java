package tinperch.check;

import java.util.List;

/** One question asked of every part. Stateless. */
public interface Check {
    List<Finding> judge(Situation situation);
}
