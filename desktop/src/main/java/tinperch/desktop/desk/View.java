package tinperch.desktop.desk;

/** A view that shows the desk's state; asked to look again after every change. */
public interface View {
    void refresh();

    /** Called when another view takes its place. */
    default void leave() { }
}
