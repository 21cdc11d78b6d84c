package tinperch.part.feature.kind;

import java.util.List;
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
        this.params = List.of(params);
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
