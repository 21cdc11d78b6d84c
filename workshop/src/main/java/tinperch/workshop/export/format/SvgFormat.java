package tinperch.workshop.export.format;

import java.util.List;
import tinperch.files.svg.SvgFile;
import tinperch.part.flat.FlatOutline;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Each piece's outline and holes as a picture at full size. */
public final class SvgFormat implements PartFormat {
    @Override
    public String name() {
        return "SVG";
    }

    @Override
    public String ending() {
        return ".svg";
    }

    @Override
    public String why() {
        return "Outline and round holes of each piece at full size, as a picture with layers.";
    }

    @Override
    public List<Output> files(Parcel p) {
        return PartFormat.each(p, i -> out -> SvgFile.write(FlatOutline.of(i.mesh(), i.cavities()), i.titled(p.title()), out));
    }
}
