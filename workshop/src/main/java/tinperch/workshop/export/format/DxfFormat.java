package tinperch.workshop.export.format;

import java.util.List;
import tinperch.files.dxf.DxfFile;
import tinperch.part.flat.FlatOutline;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Each piece's outline and holes for whatever cuts plates. */
public final class DxfFormat implements PartFormat {
    @Override
    public String name() {
        return "DXF";
    }

    @Override
    public String ending() {
        return ".dxf";
    }

    @Override
    public String why() {
        return "Outline and round holes of each piece at full size, in layers, for a cutter.";
    }

    @Override
    public List<Output> files(Parcel p) {
        return PartFormat.each(p, i -> out -> DxfFile.write(FlatOutline.of(i.mesh(), i.cavities()), i.titled(p.title()), out));
    }
}
