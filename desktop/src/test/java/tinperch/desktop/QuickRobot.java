package tinperch.desktop;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;

/**
 * A hand that types and clicks without a rest after each key: the usual robot waits 53 ms after every press, every release and every
 * letter, which was more than half of what the window's tests took. It waits once, when all it was told to do is done.
 */
public final class QuickRobot extends FxRobot {
    private static final int LONGEST_S = 30;

    /** Waits until what was asked of the window has happened and one whole picture has been laid out since. */
    public static void settle() {
        CountDownLatch drawn = new CountDownLatch(1);
        Platform.runLater(() -> new AnimationTimer() {
            private int ticks;

            @Override
            public void handle(long now) {
                // Between two ticks lies a layout; what it asked for to be done later is done before the third.
                if (++ticks == 3) {
                    stop();
                    Platform.runLater(drawn::countDown);
                }
            }
        }.start());
        try {
            if (!drawn.await(LONGEST_S, TimeUnit.SECONDS)) {
                throw new AssertionError("the window does not answer");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public FxRobot write(String text) {
        Scene scene = typedInto();
        text.chars().forEach(c -> robotContext().getBaseRobot().typeKeyboard(scene, KeyCode.UNDEFINED, String.valueOf((char) c)));
        settle();
        return this;
    }

    private Scene typedInto() {
        Window focused = listWindows().stream().filter(Window::isFocused).findFirst().orElseGet(this::targetWindow);
        return (focused == null ? window(0) : focused).getScene();
    }

    @Override
    public FxRobot push(KeyCode... combination) {
        List<KeyCode> released = new ArrayList<>(Arrays.asList(combination));
        Collections.reverse(released);
        robotContext().getKeyboardRobot().pressNoWait(combination);
        robotContext().getKeyboardRobot().releaseNoWait(released.toArray(KeyCode[]::new));
        settle();
        return this;
    }

    @Override
    public FxRobot clickOn(Node node, Motion motion, MouseButton... buttons) {
        return clicked(point(node).query(), buttons);
    }

    @Override
    public FxRobot clickOn(Bounds bounds, Motion motion, MouseButton... buttons) {
        return clicked(point(bounds).query(), buttons);
    }

    @Override
    public FxRobot clickOn(double x, double y, Motion motion, MouseButton... buttons) {
        return clicked(new Point2D(x, y), buttons);
    }

    private FxRobot clicked(Point2D at, MouseButton... buttons) {
        robotContext().getMouseRobot().moveNoWait(at);
        // What comes up under the mouse is to be there when it is pressed.
        settle();
        robotContext().getMouseRobot().pressNoWait(buttons);
        robotContext().getMouseRobot().releaseNoWait(buttons);
        settle();
        return this;
    }
}
