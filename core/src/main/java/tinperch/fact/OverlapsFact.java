package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.form.Joint;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.solid.Placement;
import tinperch.solid.Stop;
import tinperch.solid.query.Clearance;
import tinperch.solid.query.TriangleTree;
import tinperch.upgrade.Case;

/** What goes through what in the assembly: pieces through held things, pieces through each other. */
public final class OverlapsFact implements Fact<List<OverlapsFact.Overlap>> {
    public static final OverlapsFact OVERLAPS = new OverlapsFact();

    /** Less than this is lying against each other, mm. */
    private static final double TOUCH_MM = 0.05;

    private OverlapsFact() {}

    /**
     * Two things and how they stand to each other.
     *
     * @param depthMm how deep they are in one another, 0 when they are not
     * @param allowedMm how deep they may be
     */
    public record Overlap(Piece piece, String other, double depthMm, double allowedMm) {}

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), pressedMm(facts));
    }

    @Override
    public List<Overlap> compute(Case c, Facts facts) {
        FormFact.Answer answer = facts.get(FormFact.FORM);
        List<TriangleTree> trees = facts.get(TreesFact.TREES);
        if (answer.form().isEmpty() || trees.isEmpty()) {
            return List.of();
        }
        PartForm form = answer.form().get();
        List<Overlap> all = new ArrayList<>();
        for (int i = 0; i < trees.size(); i++) {
            Piece a = form.pieces().get(i);
            for (int k = i + 1; k < trees.size(); k++) {
                facts.stop().check();
                Placement between = a.place().inverse().times(form.pieces().get(k).place());
                all.add(new Overlap(a, form.pieces().get(k).name(), depth(trees.get(i), trees.get(k), between, facts.stop()), pressedMm(facts)));
            }
            for (HeldFact.Thing h : facts.get(HeldFact.HELD)) {
                facts.stop().check();
                all.add(new Overlap(a, h.held().name(), depth(trees.get(i), h.tree(), a.place().inverse(), facts.stop()), h.held().touching()));
            }
        }
        return all;
    }

    /** How deep pieces may be in one another where a cup presses on a ball. */
    private static double pressedMm(Facts facts) {
        return facts.get(FormFact.FORM).form().stream().flatMap(f -> f.joints().stream()).filter(Joint.Ball.class::isInstance).mapToDouble(j -> ((Joint.Ball) j).pressMm()).max().orElse(0);
    }

    private static double depth(TriangleTree a, TriangleTree b, Placement place, Stop stop) {
        // Boxes that hardly overlap hold nothing that does: most things only lie against each other.
        if (!b.mesh().bounds().placed(place).overlaps(a.mesh().bounds(), -TOUCH_MM)) {
            return 0;
        }
        return Clearance.between(a, b, place, stop).depthMm();
    }
}
