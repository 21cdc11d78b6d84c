package tinperch.workshop.export.format;

import java.util.List;
import tinperch.files.obj.ObjWriter;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** Each piece as points and triangles in plain text. */
public final class ObjFormat implements PartFormat {
    @Override
    public String name() {
        return "OBJ";
    }

    @Override
    public String ending() {
        return ".obj";
    }

    @Override
    public String why() {
        return "Points and triangles as plain text, for programs that draw.";
    }

    @Override
    public List<Output> files(Parcel p) {
        return PartFormat.each(p, i -> out -> ObjWriter.write(i.printed(), i.titled(p.title()), out));
    }
}
