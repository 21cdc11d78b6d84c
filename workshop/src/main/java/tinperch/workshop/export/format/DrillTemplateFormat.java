package tinperch.workshop.export.format;

import java.util.List;
import tinperch.files.pdf.DrillTemplate;
import tinperch.part.flat.FlatOutline;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Each piece's holes on paper at full size. */
public final class DrillTemplateFormat implements PartFormat {
    @Override
    public String name() {
        return "Drill template";
    }

    @Override
    public String ending() {
        return " drill template.pdf";
    }

    @Override
    public String why() {
        return "Paper at full size to glue on and drill through, over several sheets where one is too small.";
    }

    @Override
    public List<Output> files(Parcel p) {
        return PartFormat.each(p, i -> out -> DrillTemplate.write(FlatOutline.of(i.mesh(), i.cavities()), i.titled(p.title()), out));
    }
}
