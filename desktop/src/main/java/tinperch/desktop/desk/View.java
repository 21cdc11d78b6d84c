package tinperch.desktop.desk;

/** A view that shows the desk's state; asked to look again after every change. */
public interface View {
    void refresh();

    /** Called when the person comes to it, after it is in view. */
    default void arrived() { }

    /** Called when more is judged of what the desk looks at, for views that show findings. */
    default void judged() { }

    /** Called when another view takes its place. */
    default void leave() { }
}
