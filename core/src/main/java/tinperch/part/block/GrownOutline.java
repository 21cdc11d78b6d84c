package tinperch.part.block;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import tinperch.part.bind.NearRef;
import tinperch.solid.Bounds;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.shape.Profiles;

/**
 * The outline of a plate that is grown: a disc round everything it holds and webs between them, so that nothing hangs on a single tab.
 */
public final class GrownOutline {
    private static final int SIDES = 48;
    private static final double STANDS_MM = 0.6;
    private final List<Disc> carried;
    private final List<Profile> webs = new ArrayList<>();
    private final List<Profile> discs = new ArrayList<>();

    /** A disc of plastic round a hole. */
    public record Disc(double x, double y, double radius) {
        public Profile profile() {
            return Profile.disc(x, y, 2 * radius, SIDES);
        }

        private double from(Disc other) {
            return Math.hypot(other.x - x, other.y - y);
        }
    }

    /** @param carried round the holes of what the plate carries: its middle, whole */
    public GrownOutline(List<Disc> carried) {
        this.carried = List.copyOf(carried);
        together(carried.stream().map(Disc::profile).toList());
    }

    /** Something joined to the two nearest discs of what is carried, so that it is held on two sides. */
    public void held(Disc d) {
        List<Profile> web = new ArrayList<>(List.of(d.profile()));
        carried.stream().sorted(Comparator.comparingDouble(d::from)).limit(2).map(Disc::profile).forEach(web::add);
        together(web);
    }

    /** One web round all of these; nothing when there are none. */
    public void together(List<Profile> all) {
        if (!all.isEmpty()) {
            discs.addAll(all);
            webs.add(Profiles.hull(all));
        }
    }

    /** The webs and discs as one outline, or several where they do not meet. */
    public List<Profile> grown() {
        return Profiles.union(webs);
    }

    /**
     * An outline with the room of what stands beside it taken away.
     *
     * @param mount where the site is, seen from the part
     * @param low underside of the plate, {@code high} its upper side: what is wholly above or below wants nothing of it
     */
    public static List<Profile> without(List<Profile> outline, Optional<NearRef> near, Placement mount, double low, double high) {
        List<Profile> cuts = new ArrayList<>();
        for (NearRef.Thing t : near.map(NearRef::things).orElse(List.of())) {
            Bounds b = t.body().seenFrom(mount);
            double c = t.clearanceMm();
            // What it rides on, or stands on, is not in its way.
            boolean carries = b.overlaps(new Bounds(mount.origin(), mount.origin()), STANDS_MM);
            if (!carries && b.min().z() < high + c && b.max().z() > low - c) {
                cuts.add(Profile.rectangle(b.centre().x(), b.centre().y(), b.size().x() + 2 * c, b.size().y() + 2 * c));
            }
        }
        return cuts.isEmpty() ? outline : outline.stream().flatMap(p -> Profiles.difference(p, cuts).stream()).toList();
    }

    /** A rectangle round all of it. */
    public Profile rectangle(double cornerMm) {
        double[] f = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
        for (Profile p : discs) {
            double[] r = p.ring(0);
            for (int i = 0; i < r.length; i += 2) {
                f[0] = Math.min(f[0], r[i]);
                f[1] = Math.min(f[1], r[i + 1]);
                f[2] = Math.max(f[2], r[i]);
                f[3] = Math.max(f[3], r[i + 1]);
            }
        }
        return Profile.roundedRectangle((f[0] + f[2]) / 2, (f[1] + f[3]) / 2, f[2] - f[0], f[3] - f[1], cornerMm, 8);
    }
}
