package tinperch.desktop.sheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Theme;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.DrawingFact;
import tinperch.part.form.Dimension;
import tinperch.part.form.Piece;
import tinperch.part.param.NumberParam;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.HiddenLines;

/**
 * The part in three drawn views to one scale — from above, the front below it, the side beside that — with its
 * dimensions on the drawing, and the turntable in the free corner.
 */
public final class FittingSheet extends Pane {
    private static final double PAD = 66;
    private static final double GAP = 62;

    private final Desk desk;
    private final Canvas canvas = new Canvas();
    private final Turntable turntable;
    private final BiFunction<NumberParam, String, Optional<String>> edit;
    private final Function<NumberParam, String> hint;
    private final Map<Dimension, Region> tags = new LinkedHashMap<>();
    private final List<Node> titles = new ArrayList<>();
    private final ChangeListener<Drawing> onDrawing = (o, a, b) -> show(b);
    private final ChangeListener<String> onLit;
    private final ChangeListener<Palette> onPalette = (o, a, b) -> requestLayout();
    private Drawing drawing;
    private double pull;
    private String alone = "";
    private double scale = 1;
    private double leftX;
    private double topY;
    private double sideX;
    private double frontY;

    /**
     * @param edit sets a parameter from text; answers why not, or empty
     * @param above what the view from above is called
     * @param hint what a parameter does
     * @param picked told the face clicked on in the turntable
     */
    public FittingSheet(Desk desk, String above, BiFunction<NumberParam, String, Optional<String>> edit, Function<NumberParam, String> hint,
            Consumer<Turntable.Picked> picked) {
        this.desk = desk;
        this.edit = edit;
        this.hint = hint;
        getStyleClass().add("fitting-sheet");
        Ui.id(this, "fitting-sheet");
        // What is drawn must not ask for room: the sheet takes what is left.
        setMinSize(0, 0);
        setPrefSize(600, 400);
        canvas.setManaged(false);
        turntable = new Turntable(desk.theme(), "held", picked);
        turntable.setManaged(false);
        onLit = (o, a, b) -> turntable.light(b);
        getChildren().addAll(canvas, turntable);
        for (String t : new String[] {above, "from the front", "from the right"}) {
            Node l = Ui.label(t, "view-title");
            titles.add(l);
            l.setManaged(false);
            getChildren().add(l);
        }
        desk.drawingProperty().addListener(onDrawing);
        desk.litProperty().addListener(onLit);
        desk.theme().paletteProperty().addListener(onPalette);
        show(desk.drawingProperty().get());
    }

    /** Lets go of the desk. */
    public void leave() {
        desk.drawingProperty().removeListener(onDrawing);
        desk.litProperty().removeListener(onLit);
        desk.theme().paletteProperty().removeListener(onPalette);
    }

    private void show(Drawing next) {
        drawing = next;
        showTurntable();
        List<Dimension> wanted = next == null ? List.of() : next.form().dimensions();
        Map<Dimension, Region> old = new LinkedHashMap<>(tags);
        tags.clear();
        if (alike(List.copyOf(old.keySet()), wanted)) {
            // The same dimensions with other numbers: a tag that stays is not styled anew.
            Iterator<Region> kept = old.values().iterator();
            wanted.forEach(d -> tags.put(d, told(kept.next(), d)));
            requestLayout();
            return;
        }
        getChildren().removeIf(n -> old.containsValue(n) && !(n instanceof DimensionTag t && t.isOpen()));
        for (Dimension d : wanted) {
            Region tag = keptOpen(old, d);
            if (tag == null) {
                String text = Quantity.plain(d.lengthMm(), Unit.MM);
                tag = d.param().isPresent()
                        ? new DimensionTag(d.param().get().key(), text, tip(d), typed -> edit.apply(d.param().get(), typed))
                        : DimensionTag.fixed(text);
                // A tag is put by the drawing: another text must not have the sheet laid out and painted once more.
                tag.setManaged(false);
                getChildren().add(tag);
            }
            tags.put(d, tag);
        }
        requestLayout();
    }

    private String tip(Dimension d) {
        return hint.apply(d.param().orElseThrow()) + " · " + Quantity.inches(d.lengthMm());
    }

    private static boolean alike(List<Dimension> a, List<Dimension> b) {
        return a.size() == b.size() && new HashSet<>(b).size() == b.size() && IntStream.range(0, a.size()).allMatch(i ->
                a.get(i).param().equals(b.get(i).param()) && a.get(i).view() == b.get(i).view() && a.get(i).along() == b.get(i).along());
    }

    private Region told(Region tag, Dimension d) {
        String text = Quantity.plain(d.lengthMm(), Unit.MM);
        if (tag instanceof DimensionTag t) {
            t.show(text, tip(d));
        } else {
            ((Label) tag).setText(text);
        }
        return tag;
    }

    /**
     * How the pieces are shown on the turntable.
     *
     * @param share how far they are pulled apart: 0 together, 1 as far as they go
     * @param pieceId the one shown alone, empty for all
     */
    public void arrange(double share, String pieceId) {
        if (share != pull || !pieceId.equals(alone)) {
            pull = share;
            alone = pieceId;
            showTurntable();
            turntable.draw();
        }
    }

    private void showTurntable() {
        if (drawing == null) {
            turntable.prepare(null, List.of(), List.of(), null);
            return;
        }
        List<Piece> pieces = drawing.form().pieces();
        List<Integer> shown = IntStream.range(0, pieces.size()).filter(i -> alone.isEmpty() || pieces.get(i).id().equals(alone)).boxed().toList();
        if (pieces.size() == 1 || pull == 0 && shown.size() == pieces.size() || shown.isEmpty()) {
            turntable.prepare(drawing.mesh(), drawing.edges(), drawing.held(), drawing.mesh().bounds());
            return;
        }
        Mesh apart = Mesh.gathered(shown.stream().map(drawing.placed()::get).toList(), shown.stream().map(i -> pieces.get(i).pull().times(pull)).toList(),
                (k, feature) -> pieces.get(shown.get(k)).id() + DrawingFact.OF + feature);
        turntable.prepare(apart, FeatureEdges.of(apart), pull > 0 || !alone.isEmpty() ? List.of() : drawing.held(), apart.bounds());
    }

    /** A tag being typed in stays through a redraw. */
    private static Region keptOpen(Map<Dimension, Region> old, Dimension d) {
        for (Map.Entry<Dimension, Region> e : old.entrySet()) {
            if (e.getValue() instanceof DimensionTag t && t.isOpen() && e.getKey().param().equals(d.param())
                    && e.getKey().view() == d.view()) {
                return t;
            }
        }
        return null;
    }

    @Override
    protected void layoutChildren() {
        double w = getWidth();
        double h = getHeight();
        canvas.setWidth(w);
        canvas.setHeight(h);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, w, h);
        boolean any = drawing != null && w > 120 && h > 120;
        titles.forEach(t -> t.setVisible(any));
        turntable.setVisible(any);
        if (!any) {
            return;
        }
        Bounds b = drawing.mesh().bounds();
        Vec3 size = b.size();
        scale = Math.min((w - 2 * PAD - GAP) / (size.x() + size.y()), (h - PAD - GAP - 34) / (size.y() + size.z()));
        scale = Math.max(0.2, scale);
        leftX = PAD - b.min().x() * scale;
        topY = 40 + b.max().y() * scale;
        frontY = 40 + size.y() * scale + GAP + b.max().z() * scale;
        sideX = PAD + size.x() * scale + GAP - b.min().y() * scale;
        lines(g, drawing.top(), leftX, topY);
        lines(g, drawing.front(), leftX, frontY);
        lines(g, drawing.side(), sideX, frontY);
        tags.forEach((d, tag) -> place(g, d, tag));
        double tx = PAD + size.x() * scale + GAP * 0.6;
        turntable.resizeRelocate(tx, 6, Math.max(60, w - tx - 6), Math.max(60, frontY - b.max().z() * scale - 40));
        turntable.draw();
        title(titles.get(0), 8, 5);
        double dimensions = tags.keySet().stream().filter(d -> d.view() != Dimension.View.TOP && d.along() && d.outMm() < 0).mapToDouble(this::outPx).max().orElse(0);
        double under = Math.min(h - 20, frontY - b.min().z() * scale + 14 + dimensions);
        title(titles.get(1), PAD, under);
        title(titles.get(2), sideX + b.min().y() * scale, under);
    }

    private static void title(Node n, double x, double y) {
        n.autosize();
        n.relocate(x, y);
    }

    private void lines(GraphicsContext g, List<HiddenLines.Piece> pieces, double ox, double oy) {
        Palette p = desk.theme().palette();
        g.setLineWidth(0.8);
        g.setStroke(Color.web(p.faint(), 0.75));
        g.setLineDashes(3, 3);
        for (HiddenLines.Piece l : pieces) {
            if (!l.visible()) {
                g.strokeLine(ox + l.x0() * scale, oy - l.y0() * scale, ox + l.x1() * scale, oy - l.y1() * scale);
            }
        }
        g.setLineDashes();
        g.setLineWidth(1.4);
        g.setStroke(p.inkColour());
        for (HiddenLines.Piece l : pieces) {
            if (l.visible()) {
                g.strokeLine(ox + l.x0() * scale, oy - l.y0() * scale, ox + l.x1() * scale, oy - l.y1() * scale);
            }
        }
    }

    private double[] inView(Dimension.View view, Vec3 p) {
        return switch (view) {
            case TOP -> new double[] {leftX + p.x() * scale, topY - p.y() * scale};
            case FRONT -> new double[] {leftX + p.x() * scale, frontY - p.z() * scale};
            case SIDE -> new double[] {sideX + p.y() * scale, frontY - p.z() * scale};
        };
    }

    /** Draws a dimension's lines and puts its tag on them; distances outwards are in pixels, so views stay readable. */
    private void place(GraphicsContext g, Dimension d, Region tag) {
        double[] a = inView(d.view(), d.from());
        double[] b = inView(d.view(), d.to());
        double out = d.outMm() >= 0 ? 1 : -1;
        double far = outPx(d);
        g.setStroke(Color.web(desk.theme().palette().accent(), d.param().isPresent() ? 0.95 : 0.55));
        g.setLineWidth(1);
        tag.applyCss();
        tag.autosize();
        double tw = tag.prefWidth(-1);
        double th = tag.prefHeight(-1);
        if (d.along()) {
            double edge = out > 0 ? Math.min(a[1], b[1]) : Math.max(a[1], b[1]);
            double y = edge - out * far;
            g.strokeLine(a[0], a[1] - out * 3, a[0], y - out * 4);
            g.strokeLine(b[0], b[1] - out * 3, b[0], y - out * 4);
            g.strokeLine(a[0], y, b[0], y);
            arrow(g, a[0], y, Math.signum(b[0] - a[0]), 0);
            arrow(g, b[0], y, Math.signum(a[0] - b[0]), 0);
            tag.relocate(clampX((a[0] + b[0]) / 2 - tw / 2, tw), y - th / 2);
        } else {
            double edge = out > 0 ? Math.max(a[0], b[0]) : Math.min(a[0], b[0]);
            double x = edge + out * far;
            g.strokeLine(a[0] + out * 3, a[1], x + out * 4, a[1]);
            g.strokeLine(b[0] + out * 3, b[1], x + out * 4, b[1]);
            g.strokeLine(x, a[1], x, b[1]);
            arrow(g, x, a[1], 0, Math.signum(b[1] - a[1]));
            arrow(g, x, b[1], 0, Math.signum(a[1] - b[1]));
            boolean tight = Math.abs(a[1] - b[1]) < th + 8;
            tag.relocate(clampX(tight ? out > 0 ? x + 6 : x - tw - 6 : x - tw / 2, tw), (a[1] + b[1]) / 2 - th / 2);
        }
    }

    private double clampX(double x, double width) {
        return Math.max(2, Math.min(getWidth() - width - 2, x));
    }

    /** Dimensions that leave the outline far behind are counted from it; the number says how many rows out. */
    private double outPx(Dimension d) {
        Bounds b = drawing.mesh().bounds();
        double reach = switch (d.view()) {
            case TOP -> d.along() ? (d.outMm() > 0 ? b.max().y() - Math.max(d.from().y(), d.to().y())
                    : Math.min(d.from().y(), d.to().y()) - b.min().y())
                    : (d.outMm() > 0 ? b.max().x() - Math.max(d.from().x(), d.to().x())
                            : Math.min(d.from().x(), d.to().x()) - b.min().x());
            case FRONT -> d.along() ? 0 : d.outMm() > 0 ? b.max().x() - Math.max(d.from().x(), d.to().x())
                    : Math.min(d.from().x(), d.to().x()) - b.min().x();
            case SIDE -> d.along() ? b.max().z() - Math.max(d.from().z(), d.to().z())
                    : d.outMm() > 0 ? b.max().y() - Math.max(d.from().y(), d.to().y()) : 0;
        };
        double beyond = Math.abs(d.outMm()) - Math.max(0, reach);
        double near = d.along() ? 17 : 22;
        double far = d.along() ? 36 : 50;
        return Math.max(0, reach) * scale + (beyond > 10 ? far : near);
    }

    private static void arrow(GraphicsContext g, double x, double y, double dx, double dy) {
        g.strokeLine(x, y, x + dx * 6 - dy * 2.5, y + dy * 6 - dx * 2.5);
        g.strokeLine(x, y, x + dx * 6 + dy * 2.5, y + dy * 6 + dx * 2.5);
    }
}
