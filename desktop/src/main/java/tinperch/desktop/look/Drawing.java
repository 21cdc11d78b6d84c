package tinperch.desktop.look;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/** Something drawn on a canvas that fills it, drawn again when its size or the colours change. */
public abstract class Drawing extends Region {
    private final Theme theme;
    private final Canvas canvas = new Canvas();
    // Held here, and only weakly by the theme, which outlives every page.
    private final ChangeListener<Palette> repaint = (o, a, b) -> draw();

    protected Drawing(Theme theme) {
        this.theme = theme;
        canvas.setManaged(false);
        getChildren().add(canvas);
        theme.paletteProperty().addListener(new WeakChangeListener<>(repaint));
    }

    protected final Theme theme() {
        return theme;
    }

    /** Draws on the cleared canvas, {@code w} wide and {@code h} high. */
    protected abstract void paint(GraphicsContext g, Palette p, double w, double h);

    /** Draws again; to be called when what is shown has changed. */
    protected final void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        paint(g, theme.palette(), canvas.getWidth(), canvas.getHeight());
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }
}
