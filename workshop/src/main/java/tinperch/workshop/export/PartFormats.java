package tinperch.workshop.export;

import java.util.List;
import java.util.Optional;
import tinperch.workshop.export.format.DrawingFormat;
import tinperch.workshop.export.format.DrillTemplateFormat;
import tinperch.workshop.export.format.DxfFormat;
import tinperch.workshop.export.format.ObjFormat;
import tinperch.workshop.export.format.StepFormat;
import tinperch.workshop.export.format.StlFormat;
import tinperch.workshop.export.format.SvgFormat;
import tinperch.workshop.export.format.ThreeMfFormat;

/** The formats parts are written in, in the order they are offered. */
public final class PartFormats {
    public static final PartFormat STL = new StlFormat();
    public static final PartFormat THREE_MF = new ThreeMfFormat();
    public static final List<PartFormat> ALL = List.of(
            STL,
            THREE_MF,
            new StepFormat(),
            new ObjFormat(),
            new DxfFormat(),
            new SvgFormat(),
            new DrillTemplateFormat(),
            new DrawingFormat());

    private PartFormats() {}

    /** What printers are fed with. */
    public static List<PartFormat> forPrinting() {
        return ALL.stream().filter(PartFormat::isForPrinting).toList();
    }

    /** What else somebody wants who is given a part. */
    public static List<PartFormat> forSharing() {
        return ALL.stream().filter(PartFormat::isForSharing).toList();
    }

    /** The format of a name, whatever its letters' case. */
    public static Optional<PartFormat> called(String name) {
        return ALL.stream().filter(f -> f.name().equalsIgnoreCase(name.strip())).findFirst();
    }
}
