package tinperch.desktop.sheet;

import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.IntStream;
import javafx.collections.ObservableList;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import tinperch.part.form.Dimension;
import tinperch.part.param.NumberParam;
import tinperch.quantity.Quantity;
import tinperch.quantity.Unit;

/** The numbers of a drawing's dimensions: those that stay are kept from one drawing to the next. */
final class SheetTags {
    private final Map<Dimension, Region> tags = new LinkedHashMap<>();
    private final ObservableList<Node> sheet;
    private final BiFunction<NumberParam, String, Optional<String>> edit;
    private final Function<NumberParam, String> hint;

    SheetTags(ObservableList<Node> sheet, BiFunction<NumberParam, String, Optional<String>> edit, Function<NumberParam, String> hint) {
        this.sheet = sheet;
        this.edit = edit;
        this.hint = hint;
    }

    void show(List<Dimension> wanted) {
        Map<Dimension, Region> old = new LinkedHashMap<>(tags);
        tags.clear();
        if (alike(List.copyOf(old.keySet()), wanted)) {
            // The same dimensions with other numbers: a tag that stays is not styled anew.
            Iterator<Region> kept = old.values().iterator();
            wanted.forEach(d -> tags.put(d, told(kept.next(), d)));
            return;
        }
        sheet.removeIf(n -> old.containsValue(n) && !(n instanceof DimensionTag t && t.isOpen()));
        for (Dimension d : wanted) {
            Region tag = keptOpen(old, d);
            if (tag == null) {
                String text = Quantity.plain(d.lengthMm(), Unit.MM);
                tag = d.param().isPresent()
                        ? new DimensionTag(d.param().get().key(), text, tip(d), typed -> edit.apply(d.param().get(), typed))
                        : DimensionTag.fixed(text);
                // A tag is put by the drawing: another text must not have the sheet laid out and painted once more.
                tag.setManaged(false);
                sheet.add(tag);
                // Styled once, so that its size can be asked for when it is put.
                tag.applyCss();
            }
            tags.put(d, tag);
        }
    }

    void each(BiConsumer<Dimension, Region> what) {
        tags.forEach(what);
    }

    /** How far below the front and the side view dimensions reach. */
    double belowPx(SheetPainter painter) {
        return tags.keySet().stream().filter(d -> d.view() != Dimension.View.TOP && d.along() && d.outMm() < 0).mapToDouble(painter::outPx).max().orElse(0);
    }

    private String tip(Dimension d) {
        return hint.apply(d.param().orElseThrow()) + " · " + Quantity.inches(d.lengthMm());
    }

    private static boolean alike(List<Dimension> a, List<Dimension> b) {
        return a.size() == b.size() && new HashSet<>(b).size() == b.size() && IntStream.range(0, a.size()).allMatch(i ->
                a.get(i).param().equals(b.get(i).param()) && a.get(i).view() == b.get(i).view() && a.get(i).along() == b.get(i).along());
    }

    private Region told(Region tag, Dimension d) {
        String text = Quantity.plain(d.lengthMm(), Unit.MM);
        if (tag instanceof DimensionTag t) {
            t.show(text, tip(d));
        } else {
            ((Label) tag).setText(text);
        }
        return tag;
    }

    /** A tag being typed in stays through a redraw. */
    private static Region keptOpen(Map<Dimension, Region> old, Dimension d) {
        for (Map.Entry<Dimension, Region> e : old.entrySet()) {
            if (e.getValue() instanceof DimensionTag t && t.isOpen() && e.getKey().param().equals(d.param())
                    && e.getKey().view() == d.view()) {
                return t;
            }
        }
        return null;
    }
}
