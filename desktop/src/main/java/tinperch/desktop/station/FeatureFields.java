package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import tinperch.desktop.desk.Desk;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.CommitField;
import tinperch.desktop.look.Form;
import tinperch.fact.DrawingFact;
import tinperch.desktop.look.Ui;
import tinperch.machine.space.Neighbour;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.Spot;
import tinperch.part.bind.Binding;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** The name, the place and the sizes of one feature. It is told the feature anew after every edit and stays. */
final class FeatureFields {
    private final Desk desk;
    private final FeatureKind kind;
    private final BiFunction<Feature, String, Optional<String>> edit;
    private final Form form = new Form(130);
    private final CommitField name;
    private final List<Place> places = new ArrayList<>();
    private final ParamRows rows;
    private final Label wrong = Ui.text("", "complaint");
    private ComboBox<Choice<String>> around;
    private ComboBox<Choice<String>> piece;
    private Feature feature;
    private Optional<Spot> spot = Optional.empty();
    private boolean refreshing;

    /** @param edit puts a changed feature in, under a label; answers why not, or empty */
    FeatureFields(Desk desk, Feature feature, FeatureKind kind, BiFunction<Feature, String, Optional<String>> edit) {
        this.desk = desk;
        this.feature = feature;
        this.kind = kind;
        this.edit = edit;
        name = form.field("feature-name", "Called", "What findings and the drawing call it", "", typed -> typed.isBlank()
                ? Optional.of("It needs a name; the old one stays.") : edit.apply(this.feature.named(typed.strip()), "name of a feature"));
        if (kind.around().isPresent()) {
            around = form.choice("feature-around", "Around", "The neighbour whose room it leaves free", List.of(), null, this::goAround);
            piece = form.choice("feature-piece", "Out of", "The piece it is cut out of", List.of(), null, this::cutOutOf);
        } else if (feature.anchor() != null && feature.anchor().across() != null && feature.anchor().upwards() != null) {
            places.add(new Place(true));
            places.add(new Place(false));
        }
        rows = new ParamRows(form, "feature-", kind.params(), this::set, desk::warn);
        refresh(feature);
    }

    Form form() {
        return form;
    }

    /** Whether it can show a feature: one of the same kind that is anchored as this one is. */
    boolean fits(Feature next) {
        return next.id().equals(feature.id()) && next.kindId().equals(feature.kindId()) && (kind.around().isPresent() || next.anchor() != null == !places.isEmpty());
    }

    void refresh(Feature next) {
        feature = next;
        DrawingFact.Drawing d = desk.drawingProperty().get();
        spot = Optional.ofNullable(d).map(x -> x.spots().get(next.id()));
        refreshing = true;
        name.refresh(next.name());
        places.forEach(Place::refresh);
        if (around != null) {
            Choice.fill(around, near().stream().map(n -> new Choice<>(n.id(), n.name())).toList(), next.around() instanceof Binding.OfNeighbour n ? n.neighbourId() : "");
            Choice.fill(piece, d == null ? List.<Choice<String>>of() : d.form().pieces().stream().map(p -> new Choice<>(p.id(), p.name())).toList(),
                    next.anchor() == null ? "" : next.anchor().pieceId());
        }
        refreshing = false;
        form.getChildren().remove(wrong);
        try {
            rows.refresh(next.values());
        } catch (PartProblem e) {
            wrong.setText(e.getMessage());
            form.add(wrong, 0, 99, 2, 1);
        }
    }

    private static <T> void fill(ComboBox<T> box, List<T> options, T now) {
        if (!box.getItems().equals(options)) {
            box.getItems().setAll(options);
        }
        box.setValue(now);
    }

    private List<Neighbour> near() {
        return desk.machine().map(m -> m.surroundings().neighbours()).orElse(List.of());
    }

    private Optional<String> set(Param<?> p, String typed) {
        try {
            Values next = p.typed(feature.values(), typed);
            return edit.apply(feature.with(next), feature.name() + ": " + Quantity.inSentence(p.label()) + " " + p.show(next));
        } catch (QuantityException e) {
            return Optional.of(e.getMessage());
        }
    }

    private Optional<String> put(Anchor next) {
        return next.equals(feature.anchor()) ? Optional.empty() : edit.apply(feature.with(next), "place of " + feature.name());
    }

    private void goAround(Choice<String> neighbour) {
        Binding to = new Binding.OfNeighbour(neighbour.value());
        if (!refreshing && !to.equals(feature.around())) {
            edit.apply(feature.around(to), feature.name() + ": around " + neighbour.label()).ifPresent(desk::warn);
        }
    }

    private void cutOutOf(Choice<String> from) {
        if (!refreshing) {
            put(Anchor.piece(from.value())).ifPresent(desk::warn);
        }
    }

    /**
     * Where a dimension counts from, as it is offered.
     *
     * @param hole empty unless it is one
     */
    private record Origin(String label, Anchor.From from, String hole) {
        @Override
        public String toString() {
            return label;
        }
    }

    /** One of the two dimensions of a place: how far, and from where. Counted from elsewhere the feature stays where it is. */
    private final class Place {
        private final boolean across;
        private final CommitField mm;
        private final ComboBox<Origin> from;

        Place(boolean across) {
            this.across = across;
            mm = form.field(across ? "feature-across" : "feature-upwards", across ? "Across" : "Upwards",
                    across ? "Along the face to the right" : "Up along the face", "", this::typed);
            from = form.choice(across ? "feature-from-across" : "feature-from-upwards", "from", "What the dimension counts from", List.of(), null, this::count);
        }

        void refresh() {
            Anchor a = feature.anchor();
            mm.refresh(Quantity.mm(across ? a.acrossMm() : a.upwardsMm()));
            List<Origin> origins = new ArrayList<>();
            for (Anchor.From f : Anchor.From.values()) {
                if (f != Anchor.From.HOLE) {
                    origins.add(new Origin(label(f), f, ""));
                }
            }
            spot.ifPresent(s -> s.holes().forEach(h -> origins.add(new Origin(h.label(), Anchor.From.HOLE, h.feature()))));
            fill(from, origins, origins.stream().filter(o -> o.from == (across ? a.across() : a.upwards())
                    && o.hole.equals(across ? a.acrossHole() : a.upwardsHole())).findFirst().orElse(null));
        }

        private Optional<String> typed(String text) {
            try {
                double v = Quantity.parse(text, Unit.MM);
                Anchor a = feature.anchor();
                return put(across ? a.at(v, a.upwardsMm()) : a.at(a.acrossMm(), v));
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        }

        private void count(Origin to) {
            Anchor a = feature.anchor();
            boolean same = to.from == (across ? a.across() : a.upwards()) && to.hole.equals(across ? a.acrossHole() : a.upwardsHole());
            if (!refreshing && !same) {
                put(spot.map(s -> across ? s.counted(a, to.from, to.hole, a.upwards(), a.upwardsHole()) : s.counted(a, a.across(), a.acrossHole(), to.from, to.hole))
                        .orElseGet(() -> across ? a.across(to.from, to.hole, a.acrossMm()) : a.upwards(to.from, to.hole, a.upwardsMm()))).ifPresent(desk::warn);
            }
        }

        private String label(Anchor.From f) {
            return switch (f) {
                case NEAR_EDGE -> across ? "left edge" : "lower edge";
                case FAR_EDGE -> across ? "right edge" : "upper edge";
                case MIDDLE, HOLE -> f.label();
            };
        }
    }
}
