package tinperch.workshop.export.format;

import java.util.ArrayList;
import java.util.List;
import tinperch.fact.DrawingFact;
import tinperch.fact.FactsOnce;
import tinperch.files.FileFault;
import tinperch.files.pdf.DrawingSheet;
import tinperch.part.form.PartsList;
import tinperch.part.form.Piece;
import tinperch.upgrade.Case;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Three views with dimensions and a parts list on paper. */
public final class DrawingFormat implements PartFormat {
    @Override
    public String name() {
        return "Drawing";
    }

    @Override
    public String ending() {
        return " drawing.pdf";
    }

    @Override
    public String why() {
        return "Paper with three views, the dimensions that stand on the drawing, and a list of screws, nuts and inserts.";
    }

    @Override
    public boolean isForSharing() {
        return true;
    }

    @Override
    public List<Output> files(Parcel p) {
        return List.of(new Output("", out -> DrawingSheet.write(content(p), out)));
    }

    private static DrawingSheet.Content content(Parcel p) throws FileFault {
        Case c = p.made().orElseThrow(() -> new FileFault("A kept revision is only its meshes; draw the part as it stands."));
        DrawingFact.Drawing d = new FactsOnce(c).get(DrawingFact.DRAWING);
        if (d == null) {
            throw new FileFault("There is no finished part to draw yet.");
        }
        return new DrawingSheet.Content(p.title() + hand(d), d.top(), d.front(), d.side(), d.form().dimensions(), list(p, d), List.of(p.part().material(), "for “" + p.upgradeName() + "”"));
    }

    /** For which side it is: left and right look alike on paper. */
    private static String hand(DrawingFact.Drawing d) {
        return d.form().pieces().stream().map(Piece::hand).filter(h -> !h.isEmpty()).findFirst().map(h -> ", " + h).orElse("");
    }

    /** Printed pieces, then what is bought. */
    static List<String> list(Parcel p, DrawingFact.Drawing d) {
        List<String> all = new ArrayList<>();
        for (Item i : p.items()) {
            all.add(DrawingSheet.listed(i.count(), (i.name().isEmpty() ? p.part().name() : i.name()) + ", " + p.part().material() + i.laid()));
        }
        PartsList.of(d.form()).forEach(r -> all.add(DrawingSheet.listed(r.count(), r.what())));
        return all;
    }
}
