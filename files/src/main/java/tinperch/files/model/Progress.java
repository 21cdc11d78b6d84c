package tinperch.files.model;

/** Told how far a reading has come; may stop it. */
@FunctionalInterface
public interface Progress {
    /**
     * @param share 0 to 1
     * @return false to stop
     */
    boolean at(double share);
}
