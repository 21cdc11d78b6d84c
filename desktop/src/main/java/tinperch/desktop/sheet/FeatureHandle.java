package tinperch.desktop.sheet;

import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import tinperch.desktop.look.Ui;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.Spot;
import tinperch.part.form.Dimension.View;
import tinperch.part.form.Piece;
import tinperch.part.param.PartProblem;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * The place of the chosen feature on the drawing: two dimensions that are typed where they stand, and a knob to drag it by. Near a line of
 * holes or the middle of the face it is caught, and a dotted line shows by what.
 */
final class FeatureHandle extends Pane {
    private static final double CATCH_PX = 7;
    private static final double BESIDE_PX = 11;

    private final Placing placing;
    private final Line across = line("handle-line");
    private final Line upwards = line("handle-line");
    private final Line caughtAcross = line("handle-caught");
    private final Line caughtUpwards = line("handle-caught");
    private final Circle knob = Ui.id(new Circle(6), "feature-knob");
    private final DimensionTag acrossTag = new DimensionTag("place-across", "", "", typed -> typed(typed, true));
    private final DimensionTag upwardsTag = new DimensionTag("place-upwards", "", "", typed -> typed(typed, false));
    private SheetScale scale;
    private View view;
    private Feature feature;
    private Spot spot;
    private Placement face;
    private Anchor dragged;

    FeatureHandle(Placing placing) {
        this.placing = placing;
        setManaged(false);
        setPickOnBounds(false);
        setVisible(false);
        knob.getStyleClass().add("handle-knob");
        knob.setCursor(Cursor.MOVE);
        knob.setAccessibleText("Drag the feature");
        Ui.tip(knob, "Drag it; it is caught by lines of holes and by the middle of the face");
        acrossTag.setManaged(false);
        upwardsTag.setManaged(false);
        getChildren().addAll(caughtAcross, caughtUpwards, across, upwards, knob, acrossTag, upwardsTag);
        knob.setOnMousePressed(e -> e.consume());
        knob.setOnMouseDragged(e -> {
            drag(e.getX(), e.getY());
            e.consume();
        });
        knob.setOnMouseReleased(e -> {
            drop();
            e.consume();
        });
        knob.setOnMouseClicked(e -> e.consume());
    }

    private static Line line(String style) {
        Line l = new Line();
        l.getStyleClass().add(style);
        l.setMouseTransparent(true);
        return l;
    }

    /** Shows the place of a feature, or nothing where no view sees its face squarely. */
    void show(Feature next, Spot at, Piece piece, SheetScale to) {
        if (dragged != null) {
            return;
        }
        feature = next;
        spot = at;
        scale = to;
        face = piece.place().times(at.face().frame());
        Optional<View> facing = SheetScale.facing(face.w());
        if (facing.isPresent() && !isVisible()) {
            // Styled when it comes, so that the sizes of its numbers can be asked for.
            setVisible(true);
            applyCss();
        }
        setVisible(facing.isPresent());
        if (facing.isPresent()) {
            view = facing.get();
            draw(next.anchor(), at);
        }
    }

    void hide() {
        if (dragged == null) {
            setVisible(false);
        }
    }

    private double[] px(double x, double y) {
        return scale.inView(view, face.point(x, y, 0));
    }

    private void draw(Anchor a, Spot at) {
        double[] zero = at.zeros(a);
        double[] here = px(at.acrossMm(), at.upwardsMm());
        double[] from = px(zero[0], at.upwardsMm());
        double[] below = px(at.acrossMm(), zero[1]);
        put(across, from, here);
        put(upwards, below, here);
        knob.setCenterX(here[0]);
        knob.setCenterY(here[1]);
        acrossTag.show(Quantity.plain(a.acrossMm(), Unit.MM), "Across, from the " + from(a, true, at));
        upwardsTag.show(Quantity.plain(a.upwardsMm(), Unit.MM), "Upwards, from the " + from(a, false, at));
        // Beside the knob each keeps to the side where the other's line is not.
        put(acrossTag, from, here, 0, below[1] > here[1] ? -1 : 1);
        put(upwardsTag, below, here, from[0] > here[0] ? -1 : 1, 0);
        boolean held = dragged != null;
        caughtAcross.setVisible(held && caught(a.across(), a.acrossMm()));
        caughtUpwards.setVisible(held && caught(a.upwards(), a.upwardsMm()));
        put(caughtAcross, px(at.acrossMm(), -at.face().halfUpwardsMm()), px(at.acrossMm(), at.face().halfUpwardsMm()));
        put(caughtUpwards, px(-at.face().halfAcrossMm(), at.upwardsMm()), px(at.face().halfAcrossMm(), at.upwardsMm()));
    }

    private static boolean caught(Anchor.From from, double mm) {
        return mm == 0 && (from == Anchor.From.HOLE || from == Anchor.From.MIDDLE);
    }

    private static String from(Anchor a, boolean across, Spot at) {
        Anchor.From f = across ? a.across() : a.upwards();
        String hole = across ? a.acrossHole() : a.upwardsHole();
        return f == Anchor.From.HOLE ? at.holes().stream().filter(h -> h.feature().equals(hole)).map(Spot.Hole::label).findFirst().orElse(f.label()) : f.label();
    }

    private static void put(Line l, double[] a, double[] b) {
        l.setStartX(a[0]);
        l.setStartY(a[1]);
        l.setEndX(b[0]);
        l.setEndY(b[1]);
    }

    /** In the middle of its line, or beside the knob where the line is too short to carry it. */
    private static void put(DimensionTag tag, double[] a, double[] b, int besideX, int besideY) {
        tag.autosize();
        double w = tag.getWidth();
        double h = tag.getHeight();
        boolean carried = Math.hypot(a[0] - b[0], a[1] - b[1]) > Math.max(w, h) + 3 * BESIDE_PX;
        double x = carried ? (a[0] + b[0]) / 2 : b[0] + besideX * (BESIDE_PX + w / 2);
        double y = carried ? (a[1] + b[1]) / 2 : b[1] + besideY * (BESIDE_PX + h / 2);
        tag.relocate(x - w / 2, y - h / 2);
    }

    private Optional<String> typed(String text, boolean isAcross) {
        try {
            double mm = Quantity.parse(text, Unit.MM);
            Anchor a = feature.anchor();
            return placing.put(feature, isAcross ? a.at(mm, a.upwardsMm()) : a.at(a.acrossMm(), mm));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }

    private void drag(double px, double py) {
        Vec3 on = face.local(scale.point(view, px, py, face.origin()));
        double x = Math.max(-spot.face().halfAcrossMm(), Math.min(spot.face().halfAcrossMm(), on.x()));
        double y = Math.max(-spot.face().halfUpwardsMm(), Math.min(spot.face().halfUpwardsMm(), on.y()));
        dragged = spot.dragged(feature.anchor(), x, y, CATCH_PX / scale.pxPerMm());
        draw(dragged, spot.at(dragged));
    }

    private void drop() {
        Anchor to = dragged;
        dragged = null;
        if (to == null) {
            return;
        }
        if (to.equals(feature.anchor())) {
            // Dropped where it was: what caught it is not shown any more.
            draw(to, spot);
            return;
        }
        try {
            if (placing.put(feature, to).isPresent()) {
                draw(feature.anchor(), spot);
            }
        } catch (PartProblem e) {
            draw(feature.anchor(), spot);
        }
    }
}
