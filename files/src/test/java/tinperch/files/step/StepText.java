package tinperch.files.step;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tinperch.solid.Vec3;

/** Reads a STEP file the way another program would: lines by their numbers, nothing taken from what wrote it. */
final class StepText {
    private static final Pattern LINE = Pattern.compile("#(\\d+)=(.*);");
    private static final Pattern REF = Pattern.compile("#(\\d+)");

    final Map<Integer, String> lines = new HashMap<>();

    StepText(String text) {
        for (String l : text.split("\n")) {
            Matcher m = LINE.matcher(l);
            if (m.matches()) {
                lines.put(Integer.parseInt(m.group(1)), m.group(2));
            }
        }
    }

    /** Numbers of all entities of a kind. */
    List<Integer> all(String kind) {
        return lines.entrySet().stream().filter(e -> e.getValue().startsWith(kind + "(")).map(Map.Entry::getKey).sorted().toList();
    }

    /** What an entity refers to, in the order it stands there; words in quotes are no references. */
    List<Integer> refs(int id) {
        Matcher m = REF.matcher(lines.get(id).replaceAll("'[^']*'", ""));
        List<Integer> all = new ArrayList<>();
        while (m.find()) {
            all.add(Integer.parseInt(m.group(1)));
        }
        return all;
    }

    private Vec3 triple(int id) {
        Matcher m = Pattern.compile("\\(([-\\d.E]+),([-\\d.E]+),([-\\d.E]+)\\)").matcher(lines.get(id));
        if (!m.find()) {
            throw new IllegalStateException(lines.get(id));
        }
        return new Vec3(Double.parseDouble(m.group(1)), Double.parseDouble(m.group(2)), Double.parseDouble(m.group(3)));
    }

    /** Volume by the divergence theorem over planes and cylinders, as the file's own loops bound them, mm³. */
    double volumeMm3() {
        double three = 0;
        for (int face : all("ADVANCED_FACE")) {
            List<Integer> refs = refs(face);
            int surface = refs.get(refs.size() - 1);
            List<Integer> placement = refs(refs(surface).get(0));
            Vec3 o = triple(placement.get(0));
            Vec3 n = triple(placement.get(1));
            if (lines.get(surface).startsWith("PLANE")) {
                double area = 0;
                for (int b : refs.subList(0, refs.size() - 1)) {
                    area += area(refs(b).get(0), n);
                }
                three += n.dot(o) * area;
            } else {
                double r = Double.parseDouble(lines.get(surface).replaceAll(".*,([\\d.]+)\\)", "$1"));
                double high = -Double.MAX_VALUE;
                double low = Double.MAX_VALUE;
                for (int e : refs(refs(refs.get(0)).get(0))) {
                    int curve = refs(refs(e).get(0)).get(2);
                    if (lines.get(curve).startsWith("CIRCLE")) {
                        double t = triple(refs(refs(curve).get(0)).get(0)).dot(n);
                        high = Math.max(high, t);
                        low = Math.min(low, t);
                    }
                }
                // The wall looks at its axis (.F.): p · n = −r all around, what the axis' own place adds cancels.
                three -= 2 * Math.PI * r * r * (high - low);
            }
        }
        return three / 3;
    }

    /** Signed area of a loop about a direction: chords, and a whole circle for an edge that is one. */
    private double area(int loop, Vec3 n) {
        List<Vec3> ring = new ArrayList<>();
        for (int o : refs(loop)) {
            int edge = refs(o).get(0);
            boolean forward = lines.get(o).endsWith(".T.)");
            List<Integer> of = refs(edge);
            String curve = lines.get(of.get(2));
            if (curve.startsWith("CIRCLE")) {
                double r = Double.parseDouble(curve.replaceAll(".*,([\\d.]+)\\)", "$1"));
                double way = triple(refs(refs(of.get(2)).get(0)).get(1)).dot(n);
                return Math.PI * r * r * Math.signum(way) * (forward ? 1 : -1);
            }
            ring.add(triple(refs(of.get(forward ? 0 : 1)).get(0)));
        }
        Vec3 sum = Vec3.ZERO;
        for (int k = 1; k + 1 < ring.size(); k++) {
            sum = sum.plus(ring.get(k).minus(ring.get(0)).cross(ring.get(k + 1).minus(ring.get(0))));
        }
        return sum.dot(n) / 2;
    }

    /** What is wrong with how it hangs together; empty for nothing. */
    List<String> faults() {
        List<String> faults = new ArrayList<>();
        lines.keySet().forEach(id -> refs(id).stream().filter(r -> !lines.containsKey(r)).forEach(r -> faults.add("#" + id + " speaks of #" + r)));
        Map<Integer, Integer> sum = new HashMap<>();
        Map<Integer, Integer> count = new HashMap<>();
        for (int o : all("ORIENTED_EDGE")) {
            int e = refs(o).get(0);
            sum.merge(e, lines.get(o).endsWith(".T.)") ? 1 : -1, Integer::sum);
            count.merge(e, 1, Integer::sum);
        }
        for (int e : all("EDGE_CURVE")) {
            if (count.getOrDefault(e, 0) != 2 || sum.get(e) != 0) {
                faults.add("edge #" + e + " is used " + count.get(e) + " times");
            }
            List<Integer> of = refs(e);
            if (lines.get(of.get(2)).startsWith("LINE") && triple(refs(of.get(0)).get(0)).distanceTo(triple(refs(of.get(1)).get(0))) < 1e-7) {
                faults.add("edge #" + e + " has no length");
            }
        }
        for (int face : all("ADVANCED_FACE")) {
            List<Integer> refs = refs(face);
            int surface = refs.get(refs.size() - 1);
            if (lines.get(surface).startsWith("PLANE")) {
                List<Integer> placement = refs(refs(surface).get(0));
                Vec3 o = triple(placement.get(0));
                Vec3 n = triple(placement.get(1));
                for (int b : refs.subList(0, refs.size() - 1)) {
                    for (int oriented : refs(refs(b).get(0))) {
                        for (int v : refs(refs(oriented).get(0)).subList(0, 2)) {
                            // Readers at a tolerance of 1e-7 refuse more.
                            if (Math.abs(triple(refs(v).get(0)).minus(o).dot(n)) > 1e-7) {
                                faults.add("a corner of face #" + face + " is off its plane");
                            }
                        }
                    }
                }
            }
        }
        return faults;
    }
}
