package tinperch.workshop.export.format;

import java.util.List;
import tinperch.files.step.Round;
import tinperch.files.step.StepFile;
import tinperch.part.form.Cavity;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Solids somebody can go on designing with; several pieces stand as they go together. */
public final class StepFormat implements PartFormat {
    @Override
    public String name() {
        return "STEP";
    }

    @Override
    public String ending() {
        return ".step";
    }

    @Override
    public String why() {
        return "Solids to go on designing with: flat faces, true round holes, pieces put together.";
    }

    @Override
    public boolean isForSharing() {
        return true;
    }

    @Override
    public List<Output> files(Parcel p) {
        return List.of(new Output("", out -> StepFile.write(p.items().stream().map(i -> body(i, p.title())).toList(), p.title(), out)));
    }

    private static StepFile.Body body(Item i, String title) {
        List<Round> rounds = i.cavities().stream().filter(Cavity::isRound).map(c -> new Round(c.axis(), c.widthMm() / 2)).toList();
        return new StepFile.Body(i.titled(title), i.mesh(), rounds, i.place());
    }
}
