package tinperch.solid;

import java.util.List;

/** A solid that cannot be made or cannot be promised closed; the message is for the owner, the features say where. */
public final class SolidException extends RuntimeException {
    private final transient List<String> features;

    public SolidException(String message) {
        this(message, List.of());
    }

    public SolidException(String message, List<String> features) {
        super(message);
        this.features = List.copyOf(features);
    }

    /** Names of the features involved, possibly empty. */
    public List<String> features() {
        return features;
    }
}
