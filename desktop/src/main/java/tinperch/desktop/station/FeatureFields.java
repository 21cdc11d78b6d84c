package tinperch.desktop.station;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.part.feature.Anchor;
import tinperch.part.feature.Feature;
import tinperch.part.feature.FeatureKind;
import tinperch.part.feature.Spot;
import tinperch.part.bind.Binding;
import tinperch.part.form.Piece;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;

/** The name, the place and the sizes of one feature. */
final class FeatureFields {
    private final Desk desk;
    private final Feature feature;
    private final BiFunction<Feature, String, Optional<String>> edit;
    private final Optional<Spot> spot;

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

    /** @param edit puts a changed feature in, under a label; answers why not, or empty */
    FeatureFields(Desk desk, Feature feature, BiFunction<Feature, String, Optional<String>> edit) {
        this.desk = desk;
        this.feature = feature;
        this.edit = edit;
        spot = Optional.ofNullable(desk.drawingProperty().get()).map(d -> d.spots().get(feature.id()));
    }

    Form form(FeatureKind kind) {
        Form form = new Form(130);
        form.field("feature-name", "Called", "What findings and the drawing call it", feature.name(), typed -> typed.isBlank()
                ? Optional.of("It needs a name; the old one stays.") : edit.apply(feature.named(typed.strip()), "name of a feature"));
        if (kind.around().isPresent()) {
            around(form);
        } else if (feature.anchor() != null && feature.anchor().across() != null && feature.anchor().upwards() != null) {
            place(form, true);
            place(form, false);
        }
        ParamRows rows = new ParamRows(form, "feature-", kind.params(), this::set, desk::warn);
        try {
            rows.refresh(feature.values());
        } catch (PartProblem e) {
            form.add(Ui.text(e.getMessage(), "complaint"), 0, 99, 2, 1);
        }
        return form;
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
        return edit.apply(feature.with(next), "place of " + feature.name());
    }

    /** One of the two dimensions of its place: how far, and from where. Counted from elsewhere it stays where it is. */
    private void place(Form form, boolean across) {
        Anchor a = feature.anchor();
        form.field(across ? "feature-across" : "feature-upwards", across ? "Across" : "Upwards", across ? "Along the face to the right" : "Up along the face",
                Quantity.mm(across ? a.acrossMm() : a.upwardsMm()), typed -> {
                    try {
                        double v = Quantity.parse(typed, Unit.MM);
                        return put(across ? a.at(v, a.upwardsMm()) : a.at(a.acrossMm(), v));
                    } catch (QuantityException e) {
                        return Optional.of(e.getMessage());
                    }
                });
        List<Origin> origins = new ArrayList<>();
        for (Anchor.From f : Anchor.From.values()) {
            if (f != Anchor.From.HOLE) {
                origins.add(new Origin(label(f, across), f, ""));
            }
        }
        spot.ifPresent(s -> s.holes().forEach(h -> origins.add(new Origin(h.label(), Anchor.From.HOLE, h.feature()))));
        Origin now = origins.stream().filter(o -> o.from == (across ? a.across() : a.upwards()) && o.hole.equals(across ? a.acrossHole() : a.upwardsHole()))
                .findFirst().orElse(null);
        form.choice(across ? "feature-from-across" : "feature-from-upwards", "from", "What the dimension counts from", origins, now, to -> {
            if (!to.equals(now)) {
                Anchor next = spot.map(s -> across ? s.counted(a, to.from, to.hole, a.upwards(), a.upwardsHole()) : s.counted(a, a.across(), a.acrossHole(), to.from, to.hole))
                        .orElseGet(() -> across ? a.across(to.from, to.hole, a.acrossMm()) : a.upwards(to.from, to.hole, a.upwardsMm()));
                put(next).ifPresent(desk::warn);
            }
        });
    }

    private static String label(Anchor.From from, boolean across) {
        return switch (from) {
            case NEAR_EDGE -> across ? "left edge" : "lower edge";
            case FAR_EDGE -> across ? "right edge" : "upper edge";
            case MIDDLE, HOLE -> from.label();
        };
    }

    /** What it is cut around, and out of which piece. */
    private void around(Form form) {
        List<Neighbour> near = desk.machine().map(Machine::surroundings).map(s -> s.neighbours()).orElse(List.of());
        String id = feature.around() instanceof Binding.OfNeighbour n ? n.neighbourId() : "";
        String now = near.stream().filter(n -> n.id().equals(id)).map(Neighbour::name).findFirst().orElse(null);
        form.choice("feature-around", "Around", "The neighbour whose room it leaves free", near.stream().map(Neighbour::name).toList(), now, to -> {
            if (!Objects.equals(to, now)) {
                near.stream().filter(n -> n.name().equals(to)).findFirst().flatMap(n -> edit.apply(feature.around(new Binding.OfNeighbour(n.id())), feature.name() + ": around " + to))
                        .ifPresent(desk::warn);
            }
        });
        List<Piece> pieces = Optional.ofNullable(desk.drawingProperty().get()).map(d -> d.form().pieces()).orElse(List.of());
        if (pieces.size() > 1 && feature.anchor() != null) {
            String in = pieces.stream().filter(p -> p.id().equals(feature.anchor().pieceId())).map(Piece::name).findFirst().orElse(null);
            form.choice("feature-piece", "Out of", "The piece it is cut out of", pieces.stream().map(Piece::name).toList(), in, to -> pieces.stream()
                    .filter(p -> p.name().equals(to) && !to.equals(in)).findFirst().flatMap(p -> put(Anchor.piece(p.id()))).ifPresent(desk::warn));
        }
    }
}
