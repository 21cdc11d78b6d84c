package tinperch.desktop.look;

/** Something whose picture is large: while its page is put away it keeps none. */
public interface Resting {
    /** Lets the picture go; what it shows is kept. */
    void rest();

    /** Draws what it shows again, in the frame that comes. */
    void wake();
}
