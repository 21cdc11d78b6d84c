package tinperch.trial.simulated;

/** Something that reports lines and is none; its time passes as it is told. */
public interface Simulated {
    /** Lets time pass, s. */
    void pass(double seconds);

    /** The line it reports with. */
    String report();

    /** What it is called. */
    String name();
}
