package tinperch.files;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/** Writes a whole file or leaves the old one as it was: into a neighbour first, then moved over in one step. */
public final class SafeWrite {
    private SafeWrite() {}

    /** Writes the content to a stream that is closed by the caller of this. */
    public interface Content {
        void writeTo(OutputStream out) throws IOException;
    }

    /**
     * Writes a file completely.
     *
     * @throws FileFault in plain words when the folder is read-only, missing or full; no half file is left
     */
    public static void write(Path target, Content content) throws FileFault {
        Path file = real(target);
        Path folder = file.getParent();
        Path part = null;
        try {
            Path fresh = folder.resolve(".tinperch-" + UUID.randomUUID() + ".part");
            try (FileChannel channel = FileChannel.open(fresh, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
                part = fresh;
                OutputStream out = new BufferedOutputStream(Channels.newOutputStream(channel), 1 << 16);
                content.writeTo(out);
                out.flush();
                // On the disk before the old one is given up.
                channel.force(true);
            }
            keepPermissions(file, part);
            try {
                Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            } catch (java.nio.file.AtomicMoveNotSupportedException e) {
                Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
            }
            part = null;
            forceNames(folder);
        } catch (IOException e) {
            throw new FileFault(words(target, folder, e), e);
        } finally {
            drop(part);
        }
    }

    /** Where a link leads: what it stands for is written, not the link. */
    private static Path real(Path target) {
        try {
            return Files.isSymbolicLink(target) ? target.toRealPath() : target.toAbsolutePath();
        } catch (IOException e) {
            return target.toAbsolutePath();
        }
    }

    private static void keepPermissions(Path old, Path fresh) throws IOException {
        if (Files.exists(old) && old.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.setPosixFilePermissions(fresh, Files.getPosixFilePermissions(old));
        }
    }

    /** A new name is on the disk only when its folder is; where folders cannot be told so, nothing can be done. */
    private static void forceNames(Path folder) {
        try (FileChannel names = FileChannel.open(folder, StandardOpenOption.READ)) {
            names.force(true);
        } catch (IOException e) {
            // Some systems cannot.
        }
    }

    private static void drop(Path part) {
        if (part != null) {
            try {
                Files.deleteIfExists(part);
            } catch (IOException ignored) {
                // The folder refuses everything; the caller already says so.
            }
        }
    }

    private static String words(Path target, Path folder, IOException e) {
        String safe = " Nothing was changed there; your part is safe. Choose another folder.";
        if (e instanceof AccessDeniedException || !Files.isWritable(folder) && Files.isDirectory(folder)) {
            return "“" + target.getFileName() + "” was not written: the folder " + folder + " may not be written to." + safe;
        }
        if (e instanceof NoSuchFileException || !Files.isDirectory(folder)) {
            return "“" + target.getFileName() + "” was not written: the folder " + folder + " is not there." + safe;
        }
        String reason = e instanceof FileSystemException f && f.getReason() != null ? f.getReason() : e.getMessage();
        if (reason != null && reason.toLowerCase(java.util.Locale.ROOT).contains("space")) {
            return "“" + target.getFileName() + "” was not written: the disk is full. Free some space or choose another disk;"
                    + " your part is safe.";
        }
        return "“" + target.getFileName() + "” was not written (" + reason + ")." + safe;
    }
}
