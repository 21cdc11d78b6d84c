package tinperch.part.feature.kind;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.feature.Copies;
import tinperch.part.feature.FeatureKind;
import tinperch.part.param.Param;

/** What every kind of feature says of itself. */
abstract class NamedKind implements FeatureKind {
    private final String id;
    private final String title;
    private final List<Param<?>> params;

    NamedKind(String id, String title, Param<?>... params) {
        this.id = id;
        this.title = title;
        List<Param<?>> all = new ArrayList<>(List.of(params));
        if (copies()) {
            all.addAll(Copies.params());
        }
        this.params = List.copyOf(all);
    }

    /** Whether it can be made several times on its face. */
    boolean copies() {
        return around().isEmpty();
    }

    @Override
    public final String id() {
        return id;
    }

    @Override
    public final String title() {
        return title;
    }

    @Override
    public final List<Param<?>> params() {
        return params;
    }
}
