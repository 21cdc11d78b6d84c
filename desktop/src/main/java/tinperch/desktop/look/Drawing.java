package tinperch.desktop.look;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/** Something drawn on a canvas that fills it, drawn again when its size or the colours change. */
public abstract class Drawing extends Region implements Resting {
    private final Theme theme;
    private Canvas canvas;
    private boolean resting;
    // Held here, and only weakly by the theme, which outlives every page.
    private final ChangeListener<Palette> repaint = (o, a, b) -> draw();

    protected Drawing(Theme theme) {
        this.theme = theme;
        theme.paletteProperty().addListener(new WeakChangeListener<>(repaint));
    }

    protected final Theme theme() {
        return theme;
    }

    /** Draws on the cleared canvas, {@code w} wide and {@code h} high. */
    protected abstract void paint(GraphicsContext g, Palette p, double w, double h);

    /** Draws again; to be called when what is shown has changed. */
    protected final void draw() {
        if (canvas == null) {
            return;
        }
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        paint(g, theme.palette(), canvas.getWidth(), canvas.getHeight());
    }

    @Override
    public void rest() {
        resting = true;
        getChildren().remove(canvas);
        canvas = null;
    }

    @Override
    public void wake() {
        resting = false;
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        if (resting) {
            return;
        }
        if (canvas == null) {
            canvas = new Canvas();
            canvas.setManaged(false);
            getChildren().add(canvas);
        }
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }
}
