package tinperch.workshop.share;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import tinperch.fact.FormFact;
import tinperch.fact.FactsOnce;
import tinperch.files.FileFault;
import tinperch.files.SafeWrite;
import tinperch.part.bind.Binding;
import tinperch.part.form.PartsList;
import tinperch.upgrade.Case;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.export.Item;
import tinperch.workshop.export.Parcel;
import tinperch.workshop.export.PartExport;
import tinperch.workshop.export.PartFormat;
import tinperch.workshop.export.PartFormats;

/** A part for somebody else, all of it in a folder of its own: its design, files to print, a body other programs read, a drawing, and what may be done with it. */
public final class ShareFolder {
    /** Names of folders tried before giving up. */
    private static final int MOST = 200;

    private ShareFolder() {}

    /**
     * Writes the folder. One that is there is left alone, and the new one gets a number.
     *
     * @param c the part as it stands, {@code items} its pieces
     * @param licence what others may do with it, in the owner's words
     * @param meshBytes as {@link SharedFile#write} wants them
     * @return the folder
     * @throws FileFault in plain words; what was written by then stays in the new folder
     */
    public static Path write(WorkshopState state, Case c, List<Item> items, String mark, String licence, Function<String, Optional<byte[]>> meshBytes, Path into) throws FileFault {
        if (licence.isBlank()) {
            throw new FileFault("What others may do with the part is not said; write a line about it first, “private, please ask” if nothing else.");
        }
        Parcel parcel = Parcel.of(c, items, mark);
        Path folder = made(into, PartExport.fileName(c.part().name(), mark, "", ""));
        List<PartFormat> formats = new ArrayList<>(PartFormats.forPrinting());
        formats.addAll(PartFormats.forSharing());
        for (PartFormat f : formats) {
            PartExport.write(parcel, f, folder);
        }
        WorkshopState design = ofPart(state, c.upgrade().id(), c.part().id());
        // With models of the machine it is an archive.
        boolean archive = design.machines().stream().flatMap(m -> m.models().stream()).anyMatch(m -> meshBytes.apply(m.meshId()).isPresent());
        String ending = archive ? ".tinperch.zip" : ".tinperch.json";
        SharedFile.write(design, meshBytes, folder.resolve(PartExport.fileName(c.part().name(), mark, "", ending)));
        String about = about(parcel, c, ending, licence.strip());
        SafeWrite.write(folder.resolve("READ ME.txt"), out -> out.write(about.getBytes(StandardCharsets.UTF_8)));
        return folder;
    }

    private static Path made(Path into, String name) throws FileFault {
        try {
            Files.createDirectories(into);
            for (int n = 1; n <= MOST; n++) {
                Path folder = into.resolve(n == 1 ? name : name + " (" + n + ")");
                if (!Files.exists(folder)) {
                    return Files.createDirectory(folder);
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw new FileFault("A folder “" + name + "” cannot be made in " + into + ". Choose another place.", e);
        }
        throw new FileFault("There are " + MOST + " folders called “" + name + "” in " + into + " already. Choose another place.");
    }

    private static String about(Parcel p, Case c, String ending, String licence) {
        StringBuilder b = new StringBuilder(p.title()).append("\n\n");
        c.family().ifPresent(f -> b.append(f.title()).append(". ").append(f.purpose()).append("\n"));
        b.append("Made for: ").append(c.upgrade().name()).append(" (").append(c.machine().summary().isBlank() ? "a machine" : c.machine().summary()).append(")\n\nTo print\n");
        p.items().forEach(i -> b.append("  ").append(i.count()).append(" x ").append(i.name().isEmpty() ? c.part().name() : i.name()).append(", ").append(c.part().material()).append(i.laid()).append("\n"));
        List<PartsList.Row> bought = new FactsOnce(c).get(FormFact.FORM).form().map(PartsList::of).orElse(List.of());
        if (!bought.isEmpty()) {
            b.append("\nTo buy\n");
            bought.forEach(r -> b.append("  ").append(r.count()).append(" x ").append(r.what()).append("\n"));
        }
        return b.append("\nThe file that ends in ").append(ending).append(" is the design itself: unpacked onto another machine it asks for that machine's readings and fits itself to them.\n\nLicence: ").append(licence).append("\n").toString();
    }

    /** One part with its machine, and those parts of its upgrade it is bound to; no revisions. */
    static WorkshopState ofPart(WorkshopState s, String upgradeId, String partId) {
        WorkshopState all = Sharing.ofUpgrade(s, upgradeId);
        Upgrade u = all.upgrade(upgradeId).orElseThrow();
        Set<String> wanted = new HashSet<>();
        want(u, partId, wanted);
        Upgrade alone = new Upgrade(u.id(), u.machineId(), u.name(), u.started(), u.trouble(), u.parts().stream().filter(p -> wanted.contains(p.id())).toList(), u.hostMachineId());
        return new WorkshopState(all.machines(), List.of(alone), List.of(), all.drawer());
    }

    private static void want(Upgrade u, String partId, Set<String> wanted) {
        Optional<PartDesign> part = u.part(partId);
        if (part.isPresent() && wanted.add(partId)) {
            part.get().bindings().values().forEach(b -> {
                if (b instanceof Binding.OfPort p) {
                    want(u, p.partId(), wanted);
                }
            });
        }
    }
}
