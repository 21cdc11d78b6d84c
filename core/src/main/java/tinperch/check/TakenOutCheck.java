package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.fact.TakenOutFact;
import tinperch.fact.TakenOutFact.Shut;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** Can what is near still be taken out with the part on, or must the part come off first? */
public final class TakenOutCheck implements Check {
    @Override
    public String about() {
        return "taking out";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        for (Shut s : facts.get(TakenOutFact.TAKEN_OUT)) {
            String ways = s.was().stream().map(TakenOutCheck::word).collect(Collectors.joining(" or "));
            all.add(Finding.of("out." + s.neighbour().id(), Severity.LOOK, s.neighbour().name() + " cannot be taken out any more with it on", "Without the part it could be drawn out " + ways + ", straight, axes at home; now the part is in "
                    + (s.was().size() > 1 ? "each of these ways" : "that way") + ". Whoever must get at it takes the part off first: keep that in mind, or leave one way free.").at(s.pieceId(), s.feature()).about(Subject.LAYOUT));
        }
        return all;
    }

    private static String word(Vec3 way) {
        return Math.abs(way.z()) > 0.5 ? way.z() > 0 ? "upwards" : "downwards" : Math.abs(way.x()) > 0.5 ? way.x() > 0 ? "to the right" : "to the left" : way.y() > 0 ? "to the back" : "to the front";
    }
}
