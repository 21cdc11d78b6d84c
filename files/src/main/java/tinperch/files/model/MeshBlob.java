package tinperch.files.model;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.Inflater;
import java.util.zip.InflaterInputStream;
import tinperch.files.FileFault;
import tinperch.solid.Mesh;

/**
 * A mesh as bytes, for keeping: counts, coordinates in single precision, corner numbers, deflated. The name of the bytes is
 * what they hold, so the same mesh is kept once.
 *
 * @param id beginning of their SHA-256
 */
public record MeshBlob(String id, byte[] bytes) {
    private static final int MAGIC = 0x7465726E;

    public static MeshBlob of(Mesh mesh) {
        ByteBuffer b = ByteBuffer.allocate(12 + 12 * mesh.pointCount() + 12 * mesh.triangleCount());
        b.putInt(MAGIC).putInt(mesh.pointCount()).putInt(mesh.triangleCount());
        for (int i = 0; i < mesh.pointCount(); i++) {
            b.putFloat((float) mesh.x(i)).putFloat((float) mesh.y(i)).putFloat((float) mesh.z(i));
        }
        for (int t = 0; t < mesh.triangleCount(); t++) {
            b.putInt(mesh.corner(t, 0)).putInt(mesh.corner(t, 1)).putInt(mesh.corner(t, 2));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream(b.capacity() / 2);
        Deflater quick = new Deflater(Deflater.BEST_SPEED);
        try (DeflaterOutputStream z = new DeflaterOutputStream(out, quick, 1 << 16)) {
            z.write(b.array());
        } catch (IOException e) {
            throw new IllegalStateException("Memory cannot be written to", e);
        } finally {
            quick.end();
        }
        return new MeshBlob(id(b.array()), out.toByteArray());
    }

    /** A small picture kept beside meshes; its bytes as they are. */
    public static MeshBlob ofPicture(byte[] jpeg) {
        return new MeshBlob(id(jpeg), jpeg);
    }

    private static String id(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes), 0, 16);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    /** @throws FileFault when the bytes are not a mesh */
    public static Mesh mesh(byte[] bytes) throws FileFault {
        Inflater inflater = new Inflater();
        try (InflaterInputStream in = new InflaterInputStream(new ByteArrayInputStream(bytes), inflater, 1 << 16)) {
            ByteBuffer head = ByteBuffer.wrap(in.readNBytes(12));
            if (head.remaining() < 12 || head.getInt() != MAGIC) {
                throw new FileFault("This is not a kept mesh.");
            }
            int points = head.getInt();
            int triangles = head.getInt();
            if (points < 0 || triangles < 0 || points > 20_000_000 || triangles > 20_000_000) {
                throw new FileFault("A kept mesh is damaged.");
            }
            ByteBuffer b = ByteBuffer.wrap(in.readNBytes(12 * points));
            ByteBuffer c = ByteBuffer.wrap(in.readNBytes(12 * triangles));
            if (b.remaining() < 12 * points || c.remaining() < 12 * triangles) {
                throw new FileFault("A kept mesh is damaged.");
            }
            double[] xyz = new double[3 * points];
            for (int i = 0; i < xyz.length; i++) {
                xyz[i] = b.getFloat();
            }
            int[] corners = new int[3 * triangles];
            for (int i = 0; i < corners.length; i++) {
                corners[i] = c.getInt();
                if (corners[i] < 0 || corners[i] >= points) {
                    throw new FileFault("A kept mesh is damaged.");
                }
            }
            return new Mesh(xyz, corners, new int[triangles], List.of());
        } catch (FileFault e) {
            throw e;
        } catch (IOException e) {
            throw new FileFault("A kept mesh is damaged.", e);
        } finally {
            inflater.end();
        }
    }
}
