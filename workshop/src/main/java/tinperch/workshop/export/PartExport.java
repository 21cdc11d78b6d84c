package tinperch.workshop.export;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tinperch.files.FileFault;
import tinperch.files.SafeWrite;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Mesh;
import tinperch.solid.Tolerances;
import tinperch.solid.kernel.SolidKernel;
import tinperch.upgrade.Assessor;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** Writes an upgrade's part as STL and 3MF. */
public final class PartExport {
    private PartExport() {}

    /** The formats offered. */
    public enum Format { STL, THREE_MF }

    /** File name without folder: "Blower carriage R5.stl", with characters no file system minds. */
    public static String fileName(Upgrade upgrade, String mark, Format format) {
        String name = upgrade.part().map(p -> p.name()).orElse(upgrade.name());
        String plain = name.replaceAll("[^\\p{L}\\p{N} ._-]", "-").strip();
        if (plain.length() > 80) {
            plain = plain.substring(0, 80).strip();
        }
        return (plain.isEmpty() ? "part" : plain) + " " + mark + (format == Format.STL ? ".stl" : ".3mf");
    }

    /**
     * Writes one file.
     *
     * @throws FileFault in plain words; nothing half-written is left
     */
    public static void write(Mesh mesh, Upgrade upgrade, String mark, Format format, Path target) throws FileFault {
        String name = upgrade.part().orElseThrow().name() + " " + mark;
        SafeWrite.write(target, out -> {
            if (format == Format.STL) {
                StlFile.write(mesh, name, out);
            } else {
                ThreeMfFile.write(mesh, name, Map.of("Description", "Revision " + mark.substring(1) + ", "
                        + upgrade.part().get().material() + ", for upgrade “" + upgrade.name() + "”"), out);
            }
        });
    }

    /** Writes every part of a workshop in both formats and returns the files; parts that cannot be built are left out. */
    public static List<Path> writeAll(WorkshopState state, Shop shop, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        for (Upgrade u : state.upgrades()) {
            String mark = state.nextMark(u.id());
            var form = Assessor.assess(u, shop, mark).form();
            if (form.isEmpty()) {
                continue;
            }
            Mesh mesh = SolidKernel.evaluate(form.get().solid(), Tolerances.USUAL);
            for (Format f : Format.values()) {
                Path target = folder.resolve(fileName(u, mark, f));
                write(mesh, u, mark, f, target);
                written.add(target);
            }
        }
        return written;
    }
}
