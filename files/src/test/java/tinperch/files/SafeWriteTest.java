package tinperch.files;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

public class SafeWriteTest {
    private Path folder;

    @BeforeMethod
    public void makeFolder() throws IOException {
        folder = Files.createTempDirectory("tinperch-files");
    }

    @AfterMethod
    public void clear() throws IOException {
        try (var list = Files.walk(folder)) {
            for (Path p : list.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        }
    }

    private long count() throws IOException {
        try (var list = Files.list(folder)) {
            return list.count();
        }
    }

    @Test
    public void writesAndReplaces() throws IOException {
        Path target = folder.resolve("part.stl");
        SafeWrite.write(target, o -> o.write("one".getBytes(StandardCharsets.UTF_8)));
        SafeWrite.write(target, o -> o.write("two".getBytes(StandardCharsets.UTF_8)));
        assertEquals(Files.readString(target), "two");
        assertEquals(count(), 1);
    }

    /** A link stays a link, what only its owner might read stays so, and whatever goes wrong leaves nothing half made. */
    @Test
    public void linksAndPermissionsStayAndNothingHalfMadeIsLeft() throws IOException {
        Path real = folder.resolve("real.stl");
        Path link = folder.resolve("link.stl");
        Files.writeString(real, "old");
        Files.createSymbolicLink(link, real);
        boolean posix = real.getFileSystem().supportedFileAttributeViews().contains("posix");
        if (posix) {
            Files.setPosixFilePermissions(real, java.nio.file.attribute.PosixFilePermissions.fromString("rw-------"));
        }
        SafeWrite.write(link, o -> o.write("new".getBytes(StandardCharsets.UTF_8)));
        assertTrue(Files.isSymbolicLink(link));
        assertEquals(Files.readString(real), "new");
        if (posix) {
            assertEquals(java.nio.file.attribute.PosixFilePermissions.toString(Files.getPosixFilePermissions(real)), "rw-------");
        }
        expectThrows(IllegalStateException.class, () -> SafeWrite.write(real, o -> {
            throw new IllegalStateException("not foreseen");
        }));
        assertEquals(count(), 2);
        assertEquals(Files.readString(real), "new");
    }

    @Test
    public void aFullDiskLeavesTheOldFileAndNoHalfOne() throws IOException {
        Path target = folder.resolve("part.stl");
        Files.writeString(target, "old");
        FileFault e = expectThrows(FileFault.class, () -> SafeWrite.write(target, o -> {
            o.write(new byte[200_000]);
            throw new IOException("No space left on device");
        }));
        assertTrue(e.getMessage().contains("the disk is full") && e.getMessage().contains("your part is safe"), e.getMessage());
        assertEquals(Files.readString(target), "old");
        assertEquals(count(), 1);
    }

    @Test
    public void aDeviceThatIsReallyFullSaysSo() {
        if (!Files.exists(Path.of("/dev/full"))) {
            return;
        }
        IOException full = expectThrows(IOException.class, () -> {
            try (var out = Files.newOutputStream(Path.of("/dev/full"))) {
                out.write(1);
            }
        });
        Path target = folder.resolve("part.stl");
        FileFault e = expectThrows(FileFault.class, () -> SafeWrite.write(target, o -> {
            throw full;
        }));
        assertTrue(e.getMessage().contains("the disk is full"), e.getMessage());
    }

    @Test
    public void aMissingFolderIsNamed() {
        FileFault e = expectThrows(FileFault.class, () -> SafeWrite.write(folder.resolve("no/such/part.stl"), o -> o.write(1)));
        assertTrue(e.getMessage().contains("is not there") && e.getMessage().contains("Choose another folder"), e.getMessage());
    }

    @Test
    public void aFolderThatMayNotBeWrittenToIsNamed() {
        // /proc refuses everybody, the administrator too.
        if (!Files.isDirectory(Path.of("/proc/self"))) {
            return;
        }
        FileFault e = expectThrows(FileFault.class, () -> SafeWrite.write(Path.of("/proc/self/part.stl"), o -> o.write(1)));
        assertTrue(e.getMessage().contains("was not written") && e.getMessage().contains("safe"), e.getMessage());
    }
}
