package tinperch.files.model;

import java.io.BufferedInputStream;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tinperch.files.FileFault;
import tinperch.files.obj.ObjFile;
import tinperch.files.stl.StlFile;
import tinperch.files.threemf.ThreeMfFile;
import tinperch.solid.Mesh;

/**
 * A model read from a file.
 *
 * @param name the file's name without its ending
 * @param pieces its bodies, one at least; only a 3MF tells several apart
 * @param unitKnown whether the file said which unit it uses; STL and OBJ never do
 * @param note what of it was left out or put together, in a sentence; empty for nothing
 */
public record ModelFile(String name, List<Piece> pieces, boolean unitKnown, String note) {
    /** A build of more different things than this is one body: nobody wants a hundred models. */
    private static final int MOST_PIECES = 24;

    /**
     * One body.
     *
     * @param name as the file calls it, or the file's own
     * @param count how often the file builds it
     * @param mesh as it stands in the file; in mm when the unit is known
     */
    public record Piece(String name, int count, Mesh mesh) {}

    public ModelFile {
        pieces = List.copyOf(pieces);
    }

    /** All bodies as one. */
    public Mesh mesh() {
        return Mesh.gathered(pieces.stream().map(Piece::mesh).toList());
    }

    private static ModelFile of(String name, Mesh mesh) {
        return new ModelFile(name, List.of(new Piece(name, 1, mesh)), false, "");
    }

    private static ModelFile of(String name, ThreeMfFile.Content c) {
        Map<String, List<ThreeMfFile.Piece>> alike = new LinkedHashMap<>();
        c.pieces().forEach(p -> alike.computeIfAbsent(p.like(), k -> new ArrayList<>()).add(p));
        if (alike.size() > MOST_PIECES) {
            String together = "Its " + alike.size() + " objects came as one.";
            return new ModelFile(name, List.of(new Piece(name, 1, c.mesh())), true, c.note().isEmpty() ? together : c.note() + " " + together);
        }
        List<Piece> pieces = new ArrayList<>();
        for (List<ThreeMfFile.Piece> same : alike.values()) {
            ThreeMfFile.Piece first = same.get(0);
            String own = first.name().isBlank() ? name + " " + (pieces.size() + 1) : first.name().strip();
            pieces.add(new Piece(alike.size() == 1 ? name : own, same.size(), first.mesh()));
        }
        return new ModelFile(name, pieces, true, c.note());
    }

    /**
     * Reads STL, OBJ or 3MF, whichever its first bytes and its ending say it is.
     *
     * @throws FileFault in plain words when it cannot be used
     * @throws Stopped when the progress said to stop
     */
    public static ModelFile read(Path file, Progress progress) throws IOException {
        String full = String.valueOf(file.getFileName());
        int dot = full.lastIndexOf('.');
        String name = dot > 0 ? full.substring(0, dot) : full;
        String ending = full.substring(dot + 1).toLowerCase(Locale.ROOT);
        try (InputStream in = new BufferedInputStream(new Counted(Files.newInputStream(file), Files.size(file), progress), 1 << 16)) {
            in.mark(4);
            byte[] first = in.readNBytes(2);
            in.reset();
            if (first.length == 2 && first[0] == 'P' && first[1] == 'K') {
                return of(name, ThreeMfFile.read(file, progress));
            }
            return switch (ending) {
                case "obj" -> of(name, ObjFile.read(in));
                case "stl" -> of(name, StlFile.read(in));
                case "3mf" -> of(name, ThreeMfFile.read(file, progress));
                default -> throw new FileFault("“" + full + "” is neither STL nor OBJ nor 3MF. Nothing was imported; export the "
                        + "model in one of these.");
            };
        } catch (NoSuchFileException e) {
            throw new FileFault("There is no file “" + full + "” any more. Nothing was imported.", e);
        } catch (FileFault | Stopped e) {
            throw e;
        } catch (IOException e) {
            throw new FileFault("“" + full + "” cannot be read (" + e.getMessage() + "). Nothing was imported.", e);
        } catch (OutOfMemoryError e) {
            throw new FileFault("“" + full + "” is too large for the memory there is. Nothing was imported; make the model "
                    + "coarser.", e);
        }
    }

    /** Tells the progress at every large bite. */
    private static final class Counted extends FilterInputStream {
        private final double size;
        private final Progress progress;
        private long read;

        Counted(InputStream in, long size, Progress progress) {
            super(in);
            this.size = Math.max(1, size);
            this.progress = progress;
        }

        @Override
        public int read() throws IOException {
            int b = super.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            int n = super.read(b, off, Math.min(len, 1 << 16));
            count(Math.max(0, n));
            return n;
        }

        private void count(int n) throws Stopped {
            read += n;
            if (!progress.at(Math.min(1, read / size))) {
                throw new Stopped();
            }
        }
    }
}
