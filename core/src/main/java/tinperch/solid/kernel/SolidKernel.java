package tinperch.solid.kernel;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.IntConsumer;
import tinperch.solid.Leaf;
import tinperch.solid.Mesh;
import tinperch.solid.Solid;
import tinperch.solid.SolidException;
import tinperch.solid.Tolerances;

/**
 * Evaluates a whole tree of leaves plane by plane into one closed mesh. Same input, same mesh, whoever's hands do the work
 * and whatever a memory holds.
 *
 * <p>Every result is verified closed; where one attempt is not, other tolerances are tried; where none is, a
 * {@link SolidException} names the features and nothing is returned.
 */
public final class SolidKernel {
    private static final double[] ATTEMPTS = {1, 0.1, 0.01, 10, 1e-3, 100};

    private final TreeLogic tree;
    private final Hands hands;

    private SolidKernel(TreeLogic tree, Hands hands) {
        this.tree = tree;
        this.hands = hands;
    }

    /**
     * The mesh of a tree; an empty result has no triangles.
     *
     * @throws SolidException when no closed mesh can be promised
     */
    public static Mesh evaluate(Solid solid, Tolerances tolerances) {
        return evaluate(solid, tolerances, Hands.ONE, new PlaneMemory());
    }

    /**
     * The same, with helpers and with what an earlier evaluation of nearly the same tree left.
     *
     * @param memory is read and written
     * @throws SolidException when no closed mesh can be promised
     */
    public static Mesh evaluate(Solid solid, Tolerances tolerances, Hands hands, PlaneMemory memory) {
        SolidKernel kernel = new SolidKernel(new TreeLogic(solid), hands);
        String why = "";
        for (double k : ATTEMPTS) {
            try {
                Tolerances tol = tolerances.scaled(k);
                PlaneMemory.Recall known = memory.begin(kernel.tree, tol);
                Mesh mesh = kernel.attempt(tol, known, memory, false);
                if (mesh.openEdges() != 0) {
                    // An edge of one surface lies across a face of another: the face's own diagonal would double it.
                    mesh = kernel.attempt(tol, known, memory, true);
                }
                if (mesh.openEdges() == 0 && Double.isFinite(mesh.volumeMm3())) {
                    return mesh;
                }
                why = "the surface stayed open";
            } catch (Unresolved e) {
                why = e.getMessage();
            }
        }
        List<String> features = kernel.tree.leaves().stream().map(Leaf::feature).distinct().toList();
        throw new SolidException("The shapes “" + String.join("”, “", features.subList(0, Math.min(4, features.size())))
                + "” nearly touch and cannot be joined into a closed part (" + why
                + "). Move one of them by a hundredth of a millimetre.", features);
    }

    private Mesh attempt(Tolerances tol, PlaneMemory.Recall recall, PlaneMemory memory, boolean apart) {
        List<PlaneGroups.Group> groups = PlaneGroups.of(tree.leaves(), tol.planeMm());
        PlaneEvaluation planes = new PlaneEvaluation(tree, new LeafIndex(tree.leaves()), tol);
        int[][] present = new int[groups.size()][];
        List<List<PlaneEvaluation.Found>> found = new ArrayList<>(java.util.Collections.nCopies(groups.size(), null));
        each(groups.size(), i -> {
            present[i] = planes.present(groups.get(i));
            List<PlaneEvaluation.Found> known = recall.faces(groups.get(i), present[i]);
            found.set(i, known != null ? known : planes.faces(groups.get(i), present[i]));
        });
        PointWeld points = new PointWeld(tol.weldMm(), 4 * groups.size());
        List<EdgeMending.Face> faces = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            for (PlaneEvaluation.Found f : found.get(i)) {
                List<int[]> rings = new ArrayList<>(f.rings().length);
                for (double[] xyz : f.rings()) {
                    int[] ring = new int[xyz.length / 3];
                    for (int c = 0; c < ring.length; c++) {
                        ring[c] = points.number(xyz[3 * c], xyz[3 * c + 1], xyz[3 * c + 2]);
                    }
                    rings.add(ring);
                }
                faces.add(new EdgeMending.Face(f, rings));
            }
        }
        new EdgeMending(points, tol.weldMm(), faces).mend(apart);
        PlaneMemory.Cut[] cuts = cut(faces, points.coordinates(), tol, recall);
        memory.end(new PlaneMemory.Last(tree, tol, groups, present, found, faces, cuts));
        return mesh(faces, points, cuts);
    }

    /** Hands out the work; whatever fails, the first failure by number is the one told. */
    private void each(int count, IntConsumer work) {
        Unresolved[] failed = new Unresolved[count];
        hands.each(count, i -> {
            try {
                work.accept(i);
            } catch (Unresolved e) {
                failed[i] = e;
            }
        });
        for (Unresolved e : failed) {
            if (e != null) {
                throw e;
            }
        }
    }

    private PlaneMemory.Cut[] cut(List<EdgeMending.Face> faces, double[] all, Tolerances tol, PlaneMemory.Recall recall) {
        PlaneMemory.Cut[] cuts = new PlaneMemory.Cut[faces.size()];
        each(cuts.length, f -> {
            EdgeMending.Face face = faces.get(f);
            double[] corners = corners(face, all);
            PlaneMemory.Cut known = recall.cut(face.found, corners);
            if (known == null) {
                int[] axes = PlaneEvaluation.keptAxes(face.found.normal());
                int[] lengths = face.rings.stream().mapToInt(r -> r.length).toArray();
                known = new PlaneMemory.Cut(corners,
                        Triangulator.triangles(lengths, corners, axes[0], axes[1], tol.weldMm()));
            }
            cuts[f] = known;
        });
        return cuts;
    }

    private Mesh mesh(List<EdgeMending.Face> faces, PointWeld points, PlaneMemory.Cut[] cuts) {
        double[] all = points.coordinates();
        int count = 0;
        for (PlaneMemory.Cut c : cuts) {
            count += c.triangles().length;
        }
        int[] triangles = new int[count];
        int[] faceOf = new int[count / 3];
        int[] renumber = new int[points.size()];
        Arrays.fill(renumber, -1);
        double[] xyz = new double[all.length];
        List<Mesh.Face> out = new ArrayList<>(faces.size());
        int used = 0;
        int at = 0;
        for (int f = 0; f < cuts.length; f++) {
            EdgeMending.Face face = faces.get(f);
            List<int[]> rings = new ArrayList<>(face.rings.size());
            int[] corner = new int[cuts[f].corners().length / 3];
            int k = 0;
            for (int[] ring : face.rings) {
                int[] r = new int[ring.length];
                for (int i = 0; i < r.length; i++) {
                    if (renumber[ring[i]] < 0) {
                        renumber[ring[i]] = used;
                        System.arraycopy(all, 3 * ring[i], xyz, 3 * used, 3);
                        used++;
                    }
                    r[i] = renumber[ring[i]];
                    corner[k++] = r[i];
                }
                rings.add(r);
            }
            for (int t : cuts[f].triangles()) {
                faceOf[at / 3] = f;
                triangles[at++] = corner[t];
            }
            out.add(new Mesh.Face(tree.leaves().get(face.found.leaf()).feature(), face.found.normal(),
                    face.found.offset(), rings));
        }
        return new Mesh(Arrays.copyOf(xyz, 3 * used), triangles, faceOf, out);
    }

    private static double[] corners(EdgeMending.Face face, double[] all) {
        int n = 0;
        for (int[] ring : face.rings) {
            n += ring.length;
        }
        double[] corners = new double[3 * n];
        int k = 0;
        for (int[] ring : face.rings) {
            for (int i : ring) {
                System.arraycopy(all, 3 * i, corners, k, 3);
                k += 3;
            }
        }
        return corners;
    }
}
