package tinperch.workshop.export.format;

import java.util.List;
import java.util.Map;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartFormat;

/** All pieces together, each an object of its own name. */
public final class ThreeMfFormat implements PartFormat {
    @Override
    public String name() {
        return "3MF";
    }

    @Override
    public String ending() {
        return ".3mf";
    }

    @Override
    public String why() {
        return "For printing: all pieces in one file, with their names, counts and unit.";
    }

    @Override
    public boolean isForPrinting() {
        return true;
    }

    @Override
    public List<Output> files(Parcel p) {
        Map<String, String> about = Map.of("Description", "Revision " + p.mark().substring(1) + ", " + p.part().material() + ", for upgrade “" + p.upgradeName() + "”");
        return List.of(new Output("", out -> ThreeMfFile.write(p.items().stream().map(i -> new ThreeMfFile.Item(i.titled(p.title()), i.printed(), i.count())).toList(),
                p.title(), about, p.picture().get(), out)));
    }
}
