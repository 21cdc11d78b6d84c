package tinperch.desktop.reading;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tinperch.desktop.look.Column;
import tinperch.desktop.look.Ui;
import tinperch.measure.MeasuredPattern;
import tinperch.measure.MirrorCheck;
import tinperch.measure.PatternSheet;
import tinperch.measure.RigidFit;
import tinperch.measure.sheet.UsualSize;
import tinperch.quantity.Quantity;
import java.util.ArrayList;

/** What a four-hole pattern says: drawn as it grows, square or not, laid over another. */
final class PatternVerdict extends Column {
    private static final Over ALONE = new Over("nothing", Optional.empty());

    private final PatternSketch sketch;
    private final Supplier<Map<String, PatternSheet>> others;
    private final VBox lines = new Column(6);
    private final ComboBox<Over> against = Ui.id(new ComboBox<>(), "compare-with");
    private PatternSheet sheet;

    /**
     * Something a pattern can be laid over.
     *
     * @param centres middles of its holes; empty for nothing
     */
    private record Over(String label, Optional<List<double[]>> centres) {
        @Override
        public String toString() {
            return label;
        }
    }

    /** @param others the other patterns one may compare with, by name */
    PatternVerdict(PatternSketch sketch, Supplier<Map<String, PatternSheet>> others) {
        super(6);
        this.sketch = sketch;
        this.others = others;
        HBox compare = new HBox(8, Ui.whole(Ui.label("lay over", "field-label")), against);
        compare.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        against.setMaxWidth(Double.MAX_VALUE);
        against.setOnAction(e -> say());
        HBox.setHgrow(against, Priority.ALWAYS);
        getChildren().addAll(sketch, compare, lines);
        VBox.setVgrow(sketch, Priority.ALWAYS);
    }

    /** @param other whether it is another sheet than before */
    void refresh(PatternSheet next, boolean other) {
        sheet = next;
        offer(other);
        say();
    }

    /** What the pattern may be laid over; the other side comes first when there is one. */
    private void offer(boolean other) {
        String was = against.getValue() == null ? "" : against.getValue().label;
        List<Over> all = new ArrayList<>(List.of(ALONE));
        Optional<Over> mirror = otherSide().map(n -> new Over("mirror of " + n, centres(n).map(PatternVerdict::mirrored)));
        mirror.ifPresent(all::add);
        others.get().keySet().forEach(n -> all.add(new Over(n, centres(n))));
        UsualSize.all("fan").forEach(u -> all.add(new Over(u.name(), Optional.of(square(u.secondMm())))));
        against.getItems().setAll(all);
        against.setValue(all.stream().filter(o -> !other && o.label.equals(was)).findFirst().orElse(mirror.orElse(ALONE)));
    }

    private Optional<List<double[]>> centres(String name) {
        return Optional.ofNullable(others.get().get(name)).flatMap(MeasuredPattern::of).map(MeasuredPattern::centres);
    }

    private static List<double[]> square(double s) {
        return List.of(new double[] {0, 0}, new double[] {s, 0}, new double[] {s, s}, new double[] {0, s});
    }

    /** Seen in a mirror A changes places with B, and D with C. */
    private static List<double[]> mirrored(List<double[]> c) {
        return java.util.stream.Stream.of(1, 0, 3, 2).map(i -> new double[] {-c.get(i)[0], c.get(i)[1]}).toList();
    }

    private Optional<String> otherSide() {
        return MirrorCheck.otherSide(sheet.name()).flatMap(o -> others.get().keySet().stream()
                .filter(n -> n.equalsIgnoreCase(o)).findFirst());
    }

    private void say() {
        lines.getChildren().clear();
        Optional<MeasuredPattern> measured = MeasuredPattern.of(sheet);
        sketch.show(sheet, measured);
        sketch.compare(List.of());
        if (measured.isEmpty()) {
            line("Read one pair across (A–B or D–C) and one pair up (A–D or B–C), outside and inside, to see the pattern.", "strong");
            line("Calipers that type work as they are: the reading lands in the cell with the focus. ↑ ↓ change the row.", "faint");
            return;
        }
        MeasuredPattern m = measured.get();
        line("Holes Ø " + Quantity.fixed(m.diameterMm(), 2) + " mm, places known to ± " + Quantity.fixed(m.halfWidthMm(), 2) + " mm",
                "strong");
        if (m.squareAssumed()) {
            line("Corners taken as square: read one diagonal to know.", "look");
        } else {
            double mmPer100 = Math.tan(Math.toRadians(m.skewDeg())) * 100;
            line(Math.abs(mmPer100) < 0.15 ? "The corner at A is square within what the readings can tell."
                    : "The corner at A is " + (m.skewDeg() > 0 ? "open" : "closed") + " by "
                            + Quantity.fixed(Math.abs(m.skewDeg()), 2) + "° (" + Quantity.fixed(Math.abs(mmPer100), 2)
                            + " mm per 100 mm).", "faint");
        }
        m.doubtful().ifPresent(p -> line("The pair " + p.label() + " does not fit the others by "
                + Quantity.fixed(Math.abs(m.residualsMm().get(p)), 2) + " mm: read it again.", "look"));
        besideItsMirror();
        Optional.ofNullable(against.getValue()).flatMap(o -> o.centres).ifPresent(c -> layOver(m, c));
    }

    /** Two sheets of the left and the right should mirror each other; says plainly when they do not. */
    private void besideItsMirror() {
        otherSide().ifPresent(n -> {
            boolean isLeft = MirrorCheck.isLeft(sheet.name());
            PatternSheet there = others.get().get(n);
            MirrorCheck.of(isLeft ? sheet : there, isLeft ? there : sheet).ifPresent(c ->
                    line(c.words(), c.verdict() == MirrorCheck.Verdict.MIRRORED ? "faint" : "look"));
        });
    }

    private void layOver(MeasuredPattern m, List<double[]> nominal) {
        RigidFit fit = RigidFit.of(nominal, m.centres());
        sketch.compare(nominal.stream().map(fit::place).toList());
        StringBuilder text = new StringBuilder("Laid over " + against.getValue().label + ", holes are off by");
        for (int i = 0; i < 4; i++) {
            text.append(i == 0 ? " " : ", ").append((char) ('A' + i)).append(' ').append(Quantity.fixed(fit.residualsMm()[i], 2));
        }
        text.append(" mm");
        text.append(Math.abs(fit.angleDeg()) > 0.3 ? ", turned by " + Quantity.fixed(fit.angleDeg(), 1) + "°." : ".");
        boolean alike = fit.worstMm() <= Math.max(0.15, 2 * m.halfWidthMm());
        Label l = line(text + (alike ? " It fits." : ""), alike ? "faint" : "look");
        Ui.id(l, "fit-text");
        if (fit.mirroredFitsBetter()) {
            line("Its mirror image fits far better: one of the two was read from the other side.", "look");
        }
    }

    private Label line(String text, String style) {
        Label l = Ui.text(text, style);
        lines.getChildren().add(l);
        return l;
    }
}
