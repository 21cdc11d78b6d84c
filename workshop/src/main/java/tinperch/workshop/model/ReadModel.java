package tinperch.workshop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.files.model.ModelFile;
import tinperch.files.model.Progress;
import tinperch.files.model.Stopped;
import tinperch.machine.model.Model;
import tinperch.solid.Mesh;
import tinperch.solid.SolidException;
import tinperch.solid.Stop;
import tinperch.solid.Vec3;
import tinperch.solid.shape.MeshMending;

/**
 * A body of a model's file, read and mended, not yet kept.
 *
 * @param mesh in the unit of its file
 * @param blob the same as it will be kept
 * @param note what of the file was left out, in a sentence; empty for nothing
 * @param unitKnown whether the file said its unit; then it is in mm
 */
public record ReadModel(String name, Mesh mesh, MeshBlob blob, MeshMending.Report report, boolean unitKnown, String note) {
    /** Corners nearer than this share of the model's size are one. */
    private static final double WELD_SHARE = 1e-7;
    /** How much of the work reading is. */
    private static final double READING = 0.4;

    /**
     * Reads and mends every body of a file.
     *
     * @throws FileFault in plain words when it cannot be used
     * @throws Stopped when the progress said to stop
     */
    public static List<ReadModel> of(Path file, Progress progress) throws IOException {
        ModelFile f = ModelFile.read(file, share -> progress.at(READING * share));
        List<ReadModel> all = new ArrayList<>();
        int n = f.pieces().size();
        for (ModelFile.Piece p : f.pieces()) {
            double from = READING + (1 - READING) * all.size() / n;
            all.add(mended(f, p, share -> progress.at(from + (1 - READING) * share / n)));
        }
        return all;
    }

    private static ReadModel mended(ModelFile f, ModelFile.Piece p, Progress progress) throws IOException {
        if (p.mesh().triangleCount() == 0) {
            throw new FileFault("“" + p.name() + "” holds no triangles. Nothing was imported.");
        }
        try {
            Vec3 size = p.mesh().bounds().size();
            MeshMending.Mended mended = MeshMending.mend(p.name(), p.mesh(), Math.max(1e-9, WELD_SHARE * size.length()), () -> !progress.at(0.3));
            check(progress, 0.75);
            Mesh bare = mended.mesh().bare();
            MeshBlob blob = MeshBlob.of(bare);
            check(progress, 1);
            String often = p.count() > 1 ? "The file builds it " + p.count() + " times." : "";
            return new ReadModel(p.name(), bare, blob, mended.report(), f.unitKnown(), (often + " " + f.note()).strip());
        } catch (Stop.Stopped e) {
            throw new Stopped();
        } catch (SolidException e) {
            throw new FileFault(e.getMessage() + " Nothing was imported.", e);
        } catch (OutOfMemoryError e) {
            throw new FileFault("“" + p.name() + "” is too large for the memory there is. Nothing was imported; make it coarser.", e);
        }
    }

    private static void check(Progress progress, double share) throws IOException {
        if (!progress.at(share)) {
            throw new Stopped();
        }
    }

    /** As it is kept with a machine. */
    public Model model(String id) {
        return new Model(id, name, blob.id(), 1, mesh.triangleCount(), mesh.bounds().size(),
                report.words() + (unitKnown ? " The file itself says its unit." : "") + (note.isEmpty() ? "" : " " + note), List.of());
    }
}
