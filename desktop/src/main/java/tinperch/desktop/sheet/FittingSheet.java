package tinperch.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.beans.value.ChangeListener;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Pane;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.InkView;
import tinperch.desktop.look.Palette;
import tinperch.desktop.look.Resting;
import tinperch.desktop.look.Ui;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.fact.DrawingFact;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Spot;
import tinperch.part.form.Dimension;
import tinperch.part.form.Piece;
import tinperch.part.param.NumberParam;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Vec3;
import tinperch.solid.view.Facing;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.Ink;

/**
 * The part in three drawn views to one scale — from above, the front below it, the side beside that — with its
 * dimensions on the drawing, and the turntable in the free corner. A click on a flat face picks it, here and there.
 */
public final class FittingSheet extends Pane implements Resting {
    private final Desk desk;
    private final InkView lines = new InkView();
    private final Turntable turntable;
    private final SheetTags tags;
    private final Placing placing;
    private final FeatureHandle handle;
    private final Consumer<Picked> picked;
    private final List<Node> titles = new ArrayList<>();
    private final ChangeListener<Drawing> onDrawing = (o, a, b) -> show(b);
    private final ChangeListener<String> onLit;
    private final ChangeListener<Palette> onPalette = (o, a, b) -> requestLayout();
    private Drawing drawing;
    private SheetScale scale;
    private double pull;
    private String alone = "";

    /**
     * @param edit sets a parameter from text; answers why not, or empty
     * @param above what the view from above is called
     * @param hint what a parameter does
     * @param picked told the face clicked on
     * @param placing the feature whose place is shown
     */
    public FittingSheet(Desk desk, String above, BiFunction<NumberParam, String, Optional<String>> edit, Function<NumberParam, String> hint,
            Consumer<Picked> picked, Placing placing) {
        this.desk = desk;
        this.picked = picked;
        this.placing = placing;
        tags = new SheetTags(getChildren(), edit, hint);
        handle = new FeatureHandle(placing);
        getStyleClass().add("fitting-sheet");
        Ui.id(this, "fitting-sheet");
        // What is drawn must not ask for room: the sheet takes what is left.
        setMinSize(0, 0);
        setPrefSize(600, 400);
        turntable = new Turntable(desk.theme(), "held", p -> picked.accept(together(p)));
        turntable.setManaged(false);
        onLit = (o, a, b) -> turntable.light(b);
        getChildren().addAll(lines, turntable);
        for (String t : new String[] {above, "from the front", "from the right"}) {
            Node l = Ui.label(t, "view-title");
            titles.add(l);
            l.setManaged(false);
            getChildren().add(l);
        }
        getChildren().add(handle);
        setOnMouseClicked(e -> {
            if (e.getButton() == MouseButton.PRIMARY && e.isStillSincePress()) {
                pick(e.getX(), e.getY());
            }
        });
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
        tags.show(next == null ? List.of() : next.form().dimensions());
        handle.toFront();
        requestLayout();
    }

    /** The face seen at a place of a drawn view. */
    private void pick(double x, double y) {
        if (drawing == null || scale == null) {
            return;
        }
        Optional<Dimension.View> view = scale.viewAt(x, y, drawing.mesh().bounds());
        if (view.isPresent()) {
            Vec3[] axes = SheetScale.axes(view.get());
            Vec3 p = scale.point(view.get(), x, y, Vec3.ZERO);
            picked.accept(Facing.at(drawing.mesh(), axes[0], axes[1], p.dot(axes[0]), p.dot(axes[1])).map(s -> new Picked(
                    drawing.mesh().faces().get(s.face()).feature(), drawing.mesh().faces().get(s.face()).normal(), s.at(), s.face())).orElse(Picked.NOTHING));
        }
    }

    /** A place clicked on pieces that are pulled apart, where it is when they are together. */
    private Picked together(Picked p) {
        int of = p.feature().indexOf(DrawingFact.OF);
        return of < 0 || drawing == null ? p : new Picked(p.feature(), p.normal(), drawing.form().piece(p.feature().substring(0, of))
                .map(piece -> p.at().minus(piece.pull().times(pull))).orElse(p.at()), p.face());
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

    @Override
    public void rest() {
        lines.rest();
    }

    @Override
    public void wake() {
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        if (!Ui.isSeen(this)) {
            return;
        }
        double w = getWidth();
        double h = getHeight();
        boolean any = drawing != null && w > 120 && h > 120;
        titles.forEach(t -> t.setVisible(any));
        lines.setVisible(any);
        turntable.setVisible(any);
        if (!any) {
            scale = null;
            handle.hide();
            return;
        }
        Bounds b = drawing.mesh().bounds();
        scale = SheetScale.of(b, w, h);
        Ink ink = lines.begin(w, h);
        Palette palette = desk.theme().palette();
        SheetPainter painter = new SheetPainter(ink, lines.pxPerUnit(), scale, b);
        painter.views(drawing, palette);
        tags.each((d, tag) -> painter.place(d, tag, w));
        ink.layer(Palette.rgb(palette.accent()));
        lines.end();
        double perMm = scale.pxPerMm();
        double tx = SheetScale.PAD + b.size().x() * perMm + SheetScale.GAP * 0.6;
        turntable.resizeRelocate(tx, 6, Math.max(60, w - tx - 6), Math.max(60, scale.frontY() - b.max().z() * perMm - 40));
        turntable.drawSoon();
        title(titles.get(0), 8, 5);
        double under = Math.min(h - 20, scale.frontY() - b.min().z() * perMm + 14 + tags.belowPx(painter));
        title(titles.get(1), SheetScale.PAD, under);
        title(titles.get(2), scale.sideX() + b.min().y() * perMm, under);
        placeHandle();
    }

    /** Shows the place of the feature chosen now. */
    public void placeHandle() {
        Optional<Feature> f = drawing == null || scale == null ? Optional.empty() : placing.chosen();
        Optional<Spot> spot = f.flatMap(x -> Optional.ofNullable(drawing.spots().get(x.id())));
        Optional<Piece> piece = f.filter(x -> x.anchor() != null).flatMap(x -> drawing.form().piece(x.anchor().pieceId()));
        if (spot.isPresent() && piece.isPresent()) {
            handle.show(f.get(), spot.get(), piece.get(), scale);
        } else {
            handle.hide();
        }
    }

    private static void title(Node n, double x, double y) {
        n.autosize();
        n.relocate(x, y);
    }
}
