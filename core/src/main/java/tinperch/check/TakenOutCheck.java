package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tinperch.fact.Facts;
import tinperch.fact.FormFact;
import tinperch.fact.RestFact;
import tinperch.fact.TakenOutFact;
import tinperch.fact.TakenOutFact.Shut;
import tinperch.part.form.Piece;
import tinperch.quantity.Unit;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** Can what is near still be taken out with the part on, or must the part come off first? */
public final class TakenOutCheck implements Check {
    /** Free round what is drawn out by hand, mm (common practice). */
    private static final double FREE_MM = 1;
    private static final int MOST_SIDES = 2;

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
                    + (s.was().size() > 1 ? "each of these ways" : "that way") + ". Whoever must get at it takes the part off first: keep that in mind, or leave one way free." + (s.was().size() > 1 ? " It comes farthest " + word(s.way()) + "." : ""))
                    .measured(new Margin(Math.round(10 * s.freeMm()) / 10.0, Math.round(10 * s.wantedMm()) / 10.0, Unit.MM, true)).at(s.pieceId(), s.feature()).with(remedies(s, c, facts)).about(Subject.LAYOUT));
        }
        return all;
    }

    /** What of the part reaches into the way drawn back, or the way cut free. */
    private static List<Remedy> remedies(Shut s, Case c, Facts facts) {
        Optional<Piece> piece = facts.get(FormFact.FORM).form().flatMap(f -> f.piece(s.pieceId()));
        List<Remedy> all = new ArrayList<>();
        piece.ifPresent(p -> s.reaches().stream().limit(MOST_SIDES).forEach(r -> all.addAll(Clearing.towards(p, p.place().inverse().turned(r.look()), r.mm(), c))));
        if (piece.isPresent() && c.machine().surroundings().neighbour(s.neighbour().id()).isPresent()) {
            Vec3 way = RestFact.inMachine(c, facts).orElseThrow().times(piece.get().place()).inverse().turned(s.way());
            AroundNeighbour.of(s.neighbour(), piece.get(), c.part(), (k, before) -> k.freeing(before, FREE_MM, way), "cut its way " + word(s.way()) + " free").ifPresent(all::add);
        }
        return all;
    }

    private static String word(Vec3 way) {
        return Math.abs(way.z()) > 0.5 ? way.z() > 0 ? "upwards" : "downwards" : Math.abs(way.x()) > 0.5 ? way.x() > 0 ? "to the right" : "to the left" : way.y() > 0 ? "to the back" : "to the front";
    }
}
