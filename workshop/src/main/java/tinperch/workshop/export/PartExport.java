package tinperch.workshop.export;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.files.SafeWrite;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Mesh;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** Writes the pieces of a part: each as an STL of its own name, all of them together as 3MF. */
public final class PartExport {
    private static final int LONGEST_NAME = 80;

    private PartExport() {}

    /** The formats offered. */
    public enum Format { STL, THREE_MF }

    /**
     * A piece to write, as it lies on the bed.
     *
     * @param name empty for the only piece of a part
     */
    public record Item(String name, Mesh mesh, int count) {
        /** The pieces of a part; an only one needs no name. */
        public static List<Item> of(List<MeshesFact.Made> made) {
            return made.stream().map(m -> new Item(made.size() == 1 ? "" : m.piece().name(), m.mesh(), m.piece().count())).toList();
        }
    }

    /** File name without folder: "Hose adapter R5 tube.stl", with characters no file system minds. */
    public static String fileName(String part, String mark, String piece, Format format) {
        String plain = part.replaceAll("[^\\p{L}\\p{N} ._-]", "-").strip();
        if (plain.length() > LONGEST_NAME) {
            plain = plain.substring(0, LONGEST_NAME).strip();
        }
        return (plain.isEmpty() ? "part" : plain) + " " + mark + (piece.isEmpty() ? "" : " " + piece) + (format == Format.STL ? ".stl" : ".3mf");
    }

    /**
     * Writes the pieces of a part in one format.
     *
     * @return the files, one for each piece as STL, one for all as 3MF
     * @throws FileFault in plain words; nothing half-written is left
     */
    public static List<Path> write(List<Item> items, PartDesign part, String upgradeName, String mark, Format format, Path folder) throws FileFault {
        return write(items, part, upgradeName, mark, format, folder, new HashSet<>());
    }

    /** @param taken names written already, as {@link #plain} makes them */
    private static List<Path> write(List<Item> items, PartDesign part, String upgradeName, String mark, Format format, Path folder, Set<String> taken)
            throws FileFault {
        String title = part.name() + " " + mark;
        List<Path> written = new ArrayList<>();
        if (format == Format.THREE_MF) {
            Path target = free(folder, fileName(part.name(), mark, "", format), taken);
            SafeWrite.write(target, out -> ThreeMfFile.write(items.stream().map(i -> new ThreeMfFile.Item(i.name.isEmpty() ? title : title + " " + i.name, i.mesh, i.count)).toList(),
                    title, Map.of("Description", "Revision " + mark.substring(1) + ", " + part.material() + ", for upgrade “" + upgradeName + "”"), out));
            written.add(target);
            return written;
        }
        for (Item i : items) {
            Path target = free(folder, fileName(part.name(), mark, i.name, format), taken);
            SafeWrite.write(target, out -> StlFile.write(i.mesh, i.name.isEmpty() ? title : title + " " + i.name, out));
            written.add(target);
        }
        return written;
    }

    /** What file systems that make no difference between large and small, or between ways to write an accent, take a name for. */
    private static String plain(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFC).toLowerCase(Locale.ROOT);
    }

    /** The name, or with a number where it was written already. Where the system cannot write its letters, they lose their accents. */
    private static Path free(Path folder, String name, Set<String> taken) {
        String now = name;
        int dot = name.lastIndexOf('.');
        for (int n = 2; !taken.add(plain(now)); n++) {
            now = name.substring(0, dot) + " (" + n + ")" + name.substring(dot);
        }
        try {
            return folder.resolve(now);
        } catch (InvalidPathException e) {
            String ascii = Normalizer.normalize(now, Normalizer.Form.NFD).replaceAll("\\p{M}", "").replaceAll("[^\\x20-\\x7E]", "-");
            return ascii.equals(now) ? folder.resolve("part" + taken.size() + now.substring(now.lastIndexOf('.'))) : free(folder, ascii, taken);
        }
    }

    /** Writes every part of a workshop in both formats and returns the files; parts that cannot be built are left out. */
    public static List<Path> writeAll(WorkshopState state, Shop shop, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (Upgrade u : state.upgrades()) {
            for (PartDesign p : u.parts()) {
                String mark = state.nextMark(u.id(), p.id());
                List<Item> items = Item.of(new FactsOnce(Case.of(u, p.id(), shop, mark)).get(MeshesFact.MESHES).pieces());
                for (Format f : items.isEmpty() ? new Format[0] : Format.values()) {
                    written.addAll(write(items, p, u.name(), mark, f, folder, names));
                }
            }
        }
        return written;
    }
}
