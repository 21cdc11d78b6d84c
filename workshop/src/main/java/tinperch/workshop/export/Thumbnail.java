package tinperch.workshop.export;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.stream.ImageOutputStream;
import javax.imageio.stream.MemoryCacheImageOutputStream;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.view.Camera;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.kernel.Hands;
import tinperch.solid.view.Rasteriser;
import tinperch.solid.view.Scene;

/** A small picture of pieces side by side as they lie on the bed, in colours of its own whatever the window's are. */
public final class Thumbnail {
    private static final int PX = 256;
    private static final int FINE = 2;
    private static final double YAW = 30;
    private static final double PITCH = 30;
    private static final double APART_MM = 10;
    private static final Rasteriser.Paint PAINT = new Rasteriser.Paint(0xD9B25F, 0xD9B25F, 0x2E302C, 0xD9B25F, 0x808080, 0xFFFFFFFF, FINE);

    private Thumbnail() {}

    /** The picture as JPEG: the same meshes give the same picture. */
    public static byte[] jpeg(List<Mesh> pieces) {
        List<Mesh> row = new ArrayList<>();
        double x = 0;
        for (Mesh m : pieces) {
            Bounds b = m.bounds();
            row.add(m.placed(Placement.at(x - b.min().x(), -b.centre().y(), -b.min().z())));
            x += b.size().x() + APART_MM;
        }
        Mesh all = Mesh.gathered(row);
        Bounds b = all.bounds();
        Vec3 size = b.size();
        double across = Math.hypot(size.x(), size.y());
        double up = across * Math.sin(Math.toRadians(PITCH)) + size.z() * Math.cos(Math.toRadians(PITCH));
        int px = PX * FINE;
        Rasteriser rasteriser = new Rasteriser(Hands.ONE);
        rasteriser.draw(new Scene(all, FeatureEdges.of(all), "", List.of(), Optional.empty()), new Camera(YAW, PITCH, b.centre(), 0.92 * px / Math.max(1, Math.max(across, up))), px, px, PAINT);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        // In memory: a full disk must not keep anybody from keeping a revision.
        try (ImageOutputStream stream = new MemoryCacheImageOutputStream(out)) {
            ImageIO.write(halved(rasteriser.argb(), px), "jpeg", stream);
        } catch (IOException e) {
            throw new IllegalStateException("Memory cannot be written to", e);
        }
        return out.toByteArray();
    }

    private static BufferedImage halved(int[] fine, int px) {
        BufferedImage image = new BufferedImage(PX, PX, BufferedImage.TYPE_INT_RGB);
        int[] row = new int[PX];
        for (int y = 0; y < PX; y++) {
            for (int x = 0; x < PX; x++) {
                int out = 0;
                for (int shift = 0; shift < 32; shift += 8) {
                    int sum = 2;
                    for (int k = 0; k < FINE * FINE; k++) {
                        sum += fine[(FINE * y + k / FINE) * px + FINE * x + k % FINE] >>> shift & 0xFF;
                    }
                    out |= sum / (FINE * FINE) << shift;
                }
                row[x] = out;
            }
            image.getRaster().setDataElements(0, y, PX, 1, row);
        }
        return image;
    }
}
