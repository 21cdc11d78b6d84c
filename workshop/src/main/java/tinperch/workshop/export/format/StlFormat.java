package tinperch.workshop.export.format;

import java.util.List;
import tinperch.files.stl.StlFile;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Each piece as triangles. */
public final class StlFormat implements PartFormat {
    @Override
    public String name() {
        return "STL";
    }

    @Override
    public String ending() {
        return ".stl";
    }

    @Override
    public String why() {
        return "Triangles for printing, a file for each piece.";
    }

    @Override
    public boolean isForPrinting() {
        return true;
    }

    @Override
    public List<Output> files(Parcel p) {
        return PartFormat.each(p, i -> out -> StlFile.write(i.printed(), i.titled(p.title()), out));
    }
}
