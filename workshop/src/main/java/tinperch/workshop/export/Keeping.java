package tinperch.workshop.export;

import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.fact.MeshesFact;
import tinperch.files.FileFault;
import tinperch.files.model.MeshBlob;
import tinperch.solid.SinglePrecision;
import tinperch.upgrade.Case;
import tinperch.upgrade.Revision;
import tinperch.workshop.Workshop;

/** Keeping a revision with all it was made of, and getting its pieces back as they were. */
public final class Keeping {
    private Keeping() {}

    /**
     * A revision ready to be kept.
     *
     * @param blobs the meshes it names
     */
    public record Packed(Revision revision, List<MeshBlob> blobs) {}

    /**
     * Packs what is looked at; heavy, so not on the interface's thread.
     *
     * @param made its pieces, marked
     */
    public static Packed pack(Case c, List<MeshesFact.Made> made, int number, String reason, LocalDateTime at) {
        List<MeshBlob> blobs = new ArrayList<>();
        List<Revision.KeptPiece> pieces = new ArrayList<>();
        List<Item> items = Item.of(made, c);
        for (Item i : items) {
            MeshBlob blob = MeshBlob.of(SinglePrecision.of(i.mesh()));
            blobs.add(blob);
            pieces.add(new Revision.KeptPiece(i.name(), blob.id(), i.count(), i.lie()));
        }
        MeshBlob picture = MeshBlob.ofPicture(Thumbnail.jpeg(items.stream().map(Item::printed).toList()));
        blobs.add(picture);
        return new Packed(new Revision(c.upgrade().id(), c.part().id(), number, at.truncatedTo(ChronoUnit.SECONDS), reason, c.part(),
                Optional.of(c.recipe()), c.upgrade().hostMachineId(), pieces, Revision.Life.NEW, c.key().hex(), picture.id()), blobs);
    }

    /** Keeps a packed revision as one undoable edit. */
    public static void keep(Workshop workshop, Packed packed) {
        packed.blobs().forEach(workshop::keep);
        workshop.edit("keep " + packed.revision().mark(), s -> s.with(packed.revision()));
    }

    /** A kept revision as it is written: its meshes and its picture as they were. */
    public static Parcel parcel(Workshop workshop, Revision r, String upgradeName) throws FileFault {
        return new Parcel(pieces(workshop, r), r.part(), upgradeName, r.mark(), Optional.empty(), () -> Optional.of(r.pictureId()).filter(id -> !id.isEmpty()).flatMap(workshop::meshBytes));
    }

    /**
     * The pieces of a kept revision as they were, empty when it was kept by an earlier version, without them.
     *
     * @throws FileFault when a mesh is lost or damaged
     */
    public static List<Item> pieces(Workshop workshop, Revision r) throws FileFault {
        List<Item> all = new ArrayList<>();
        for (Revision.KeptPiece p : r.pieces()) {
            byte[] bytes = workshop.meshBytes(p.meshId()).orElseThrow(() -> new FileFault("The kept mesh of " + r.mark() + " is lost. Go back to a backup, or keep it anew."));
            all.add(Item.bare(p.name(), MeshBlob.mesh(bytes), p.count(), p.lie()));
        }
        return all;
    }
}
