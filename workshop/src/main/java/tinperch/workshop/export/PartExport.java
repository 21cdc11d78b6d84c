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
import java.util.Set;
import tinperch.fact.FactsOnce;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.files.SafeWrite;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Shop;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;

/** Writes the pieces of parts into files whose names say which part, revision and piece they are. */
public final class PartExport {
    private static final int LONGEST_NAME = 80;

    private PartExport() {}

    /** File name without folder: "Hose adapter R5 tube.stl", with characters no file system minds. */
    public static String fileName(String part, String mark, String piece, PartFormat format) {
        return fileName(part, mark, piece, format.ending());
    }

    /** The same with any ending. */
    public static String fileName(String part, String mark, String piece, String ending) {
        String plain = part.replaceAll("[^\\p{L}\\p{N} ._-]", "-").strip();
        if (plain.length() > LONGEST_NAME) {
            plain = plain.substring(0, LONGEST_NAME).strip();
        }
        return (plain.isEmpty() ? "part" : plain) + " " + mark + (piece.isEmpty() || names(plain, piece) ? "" : " " + piece) + ending;
    }

    /** Whether a part's name says already what its only piece is called, "Left brace". */
    private static boolean names(String part, String piece) {
        return List.of(part.toLowerCase(Locale.ROOT).split(" ")).contains(piece);
    }

    /**
     * Writes the pieces of a part in one format.
     *
     * @return the files, one for each piece or one for all, as the format has it
     * @throws FileFault in plain words; nothing half-written is left
     */
    public static List<Path> write(Parcel parcel, PartFormat format, Path folder) throws FileFault {
        return write(parcel, format, folder, new HashSet<>());
    }

    /** @param taken names written already, as {@link #plain} makes them */
    private static List<Path> write(Parcel parcel, PartFormat format, Path folder, Set<String> taken) throws FileFault {
        List<Path> written = new ArrayList<>();
        for (PartFormat.Output o : format.files(parcel)) {
            Path target = free(folder, fileName(parcel.part().name(), parcel.mark(), o.piece(), format), taken);
            SafeWrite.write(target, o.content());
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

    /** Writes every part of a workshop in some formats and returns the files; parts that cannot be built are left out. */
    public static List<Path> writeAll(WorkshopState state, Shop shop, List<PartFormat> formats, Path folder) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (Upgrade u : state.upgrades()) {
            for (PartDesign p : u.parts()) {
                String mark = state.nextMark(u.id(), p.id());
                Case c = Case.of(u, p.id(), shop, mark);
                Parcel parcel = Parcel.of(c, Item.of(new FactsOnce(c).get(MeshesFact.MESHES).pieces(), c), mark);
                for (PartFormat f : parcel.items().isEmpty() ? List.<PartFormat>of() : formats) {
                    written.addAll(write(parcel, f, folder, names));
                }
            }
        }
        return written;
    }
}
