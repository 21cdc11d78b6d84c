package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.part.PartInputs;
import tinperch.part.bind.TipRef;
import tinperch.part.block.DuctTube.Section;
import tinperch.part.form.AirPath;
import tinperch.part.param.Card;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;
import tinperch.solid.Vec3;
import tinperch.solid.shape.Revolution;

/**
 * Where a duct lets its air out: one slot, two side by side, or a ring that blows inwards; placed by length and offset, or aimed at the tip of a nozzle
 * by angle and distance.
 */
public final class DuctOutlets {
    /** Name of the leaf the air's room is cut by. */
    public static final String AIR = "air";
    private static final String DUCT = "duct";

    public final NumberParam wall;
    public final NumberParam length;
    public final NumberParam offset;
    public final NumberParam width;
    public final NumberParam height;
    public final NumberParam tilt;
    public final NumberParam count;
    public final NumberParam apart;
    public final NumberParam distance;
    public final SwitchParam ring;
    public final NumberParam ringInside;
    public final NumberParam ringRoom;
    public final NumberParam ringSlot;

    public DuctOutlets(Card duct, Card outlet) {
        wall = NumberParam.length("duct.wall", duct, "Duct wall", 0.4, 10, 1.6, "Four lines of a 0.4 mm nozzle; a slanted wall is thinner than this across");
        length = NumberParam.length("duct.length", duct, "Length", 10, 250, 40, "From the opening to the middle of the outlet, along its axis; not used where the outlet is aimed");
        offset = NumberParam.length("duct.offset", duct, "Offset", -150, 150, 12, "From the opening's axis to the middle of the outlet, along x; not used where the outlet is aimed");
        width = NumberParam.length("outlet.width", outlet, "Slot width", 3, 150, 36, "Along y; where it meets a ring no wider than the ring's channel takes");
        height = NumberParam.length("outlet.height", outlet, "Slot height", 2, 100, 19, "Across the width");
        tilt = NumberParam.angle("outlet.tilt", outlet, "Outlet turned", -75, 75, 20, "From the opening's axis towards +x; the air leaves that way");
        count = NumberParam.count("outlet.count", outlet, "Slots", 1, 2, 1, "Two lead the air to either side of the nozzle");
        apart = NumberParam.length("outlet.apart", outlet, "Slots apart", 5, 300, 60, "From middle to middle along y, where there are two");
        distance = NumberParam.length("outlet.distance", outlet, "From the tip", 1, 100, 12, "Where it is aimed: from the outlet to the tip, or of a ring's plane above it");
        ring = new SwitchParam("outlet.ring", outlet, "A ring", false, "One ring that blows inwards all round, instead of slots");
        ringInside = NumberParam.length("ring.inside", outlet, "Ring's inside Ø", 6, 120, 30, "What stands in it, with room");
        ringRoom = NumberParam.length("ring.room", outlet, "Ring's channel", 3, 40, 10, "Width of the channel in it");
        ringSlot = NumberParam.length("ring.slot", outlet, "Ring's slot", 0.5, 30, 5, "Height of the slot inside, all round");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(wall, length, offset, width, height, tilt, count, apart, distance, ring, ringInside, ringRoom, ringSlot);
    }

    /** The outlet in a few words. */
    public String summary(Values v) {
        return ring.of(v) ? "a ring of " + ringInside.show(v) : (count.of(v) > 1 ? "two of " : "") + width.show(v) + " × " + height.show(v) + ", turned " + tilt.show(v);
    }

    /**
     * A ring: a channel round an axis.
     *
     * @param at its middle, z along its axis, x the way the air comes in
     */
    private record Ring(Placement at) {}

    /** Everything made of the outlets of one duct. */
    public final class Made {
        private final PartInputs in;
        private final List<DuctTube> tubes = new ArrayList<>();
        private final Optional<Ring> round;
        private final boolean aimed;

        private Made(PartInputs in, Vec3 from, Optional<TipRef> tip, Placement mount) {
            this.in = in;
            aimed = tip.isPresent();
            double a = Math.toRadians(in.get(tilt));
            Vec3 out = new Vec3(Math.sin(a), 0, Math.cos(a));
            Vec3 away = Vec3.Y.cross(out);
            Optional<Vec3> point = tip.map(t -> mount.times(new Placement(t.tip(), Vec3.X, Vec3.Y, Vec3.Z)).origin());
            if (in.get(ring)) {
                double room = in.get(ringInside) / 2 + in.get(wall) + in.get(ringRoom) / 2;
                Vec3 middle = point.map(p -> p.minus(mount.turned(tip.orElseThrow().down()).times(in.get(distance)))).orElseGet(() -> from.plus(new Vec3(in.get(offset), 0, in.get(length))).plus(out.times(room)));
                round = Optional.of(new Ring(new Placement(middle, out, out.cross(away).times(-1), away)));
                tubes.add(new DuctTube(from, middle.minus(out.times(room)), out));
                if (in.get(ringSlot) > in.get(height) - 0.1) {
                    throw new PartProblem(ringSlot, "A slot of " + Quantity.mm(in.get(ringSlot)) + " is as high as the ring's channel of " + Quantity.mm(in.get(height)) + "; make it lower.");
                }
                return;
            }
            round = Optional.empty();
            Vec3 middle = point.map(p -> p.minus(out.times(in.get(distance)))).orElseGet(() -> from.plus(new Vec3(in.get(offset), 0, in.get(length))));
            if (in.get(count) < 1.5) {
                tubes.add(new DuctTube(from, middle, out));
                return;
            }
            double least = in.get(width) + 2 * in.get(wall);
            if (in.get(apart) < least) {
                throw new PartProblem(apart, "Two slots " + Quantity.mm(in.get(width)) + " wide with their walls are " + Quantity.mm(least) + " from middle to middle at least; put them farther apart, or make them narrower.");
            }
            for (int side = 1; side >= -1; side -= 2) {
                Vec3 to = middle.plus(Vec3.Y.times(side * in.get(apart) / 2));
                tubes.add(new DuctTube(from, to, point.map(p -> p.minus(to).unit()).orElse(out)));
            }
        }

        /** Where a tube ends: at its slot, or in the ring's channel, which takes no more than a chord of its outer wall. */
        private Section slot() {
            double middle = in.get(ringInside) / 2 + in.get(wall) + in.get(ringRoom) / 2;
            double chord = 2 * Math.sqrt(Math.pow(middle + in.get(ringRoom) / 2, 2) - middle * middle);
            return Section.slot(round.isPresent() ? Math.min(in.get(width), chord - 0.5) : in.get(width), in.get(height));
        }

        /** Middle of the first outlet, z the way the air goes. */
        public Placement outlet() {
            return tubes.get(0).lying(1);
        }

        /**
         * That no outlet reaches back into what it comes from.
         *
         * @param topMm upper side of that, {@code what} it is, "plate"
         * @throws PartProblem when one does
         */
        public void clearOf(double topMm, String what, Optional<TipRef> tip) {
            double more = Math.ceil(topMm + 1 - lowestZ());
            if (more > 0) {
                throw aimed ? new PartProblem(distance, "Aimed at the " + tip.map(TipRef::name).orElse("tip") + " the outlet's edge would reach " + Quantity.mm(more) + " back into the " + what
                        + "; move the fan away from it, or turn the outlet otherwise.")
                        : new PartProblem(length, "The edge of an outlet turned by " + tilt.show(in.values()) + " reaches back into the " + what + "; make the duct at least "
                        + Quantity.mm(Math.ceil(in.get(length) + more)) + " long, or turn it less.");
            }
        }

        /** Whether it is aimed, so that length and offset say nothing. */
        public boolean isAimed() {
            return aimed;
        }

        /** The lowest edge of the first outlet along the opening's axis, mm. */
        private double lowestZ() {
            Placement p = outlet();
            double half = in.get(height) / 2 + in.get(wall);
            double tipped = Math.abs(p.u().z()) * half;
            return round.map(r -> r.at.origin().z() - Math.abs(r.at.u().z()) * outside() / 2 - Math.abs(r.at.w().z()) * half).orElse(p.origin().z()) - tipped;
        }

        private double outside() {
            return in.get(ringInside) + 4 * in.get(wall) + 2 * in.get(ringRoom);
        }

        /**
         * The skins, whole.
         *
         * @param start the opening they begin at, inside
         */
        public List<Solid> bodies(Section start, double fromZ) {
            List<Solid> all = new ArrayList<>();
            tubes.forEach(t -> all.add(t.leaf(DUCT, start.with(in.get(wall)), slot().with(in.get(wall)), fromZ, 0)));
            round.ifPresent(r -> all.add(tube("ring", r, in.get(ringInside) / 2, outside() / 2, in.get(height) / 2 + in.get(wall))));
            return all;
        }

        /** The air in them. */
        public List<Solid> air(Section start, double fromZ) {
            List<Solid> all = new ArrayList<>();
            tubes.forEach(t -> all.add(t.leaf(AIR, start, slot(), fromZ, round.isPresent() ? 0.01 : 1)));
            round.ifPresent(r -> {
                double inside = in.get(ringInside) / 2;
                all.add(tube("channel", r, inside + in.get(wall), inside + in.get(wall) + in.get(ringRoom), in.get(height) / 2));
                all.add(tube("ring's slot", r, inside - 1, inside + in.get(wall) + in.get(ringRoom) / 2, in.get(ringSlot) / 2));
            });
            return all;
        }

        private static Leaf tube(String feature, Ring r, double from, double to, double halfHigh) {
            return Revolution.leaf(feature, Profile.rectangle((from + to) / 2, 0, to - from, 2 * halfHigh), r.at, DuctTube.SIDES, Revolution.Fit.WITHIN);
        }

        /** As it is judged; {@code inletMm2} is the fan's opening. */
        public AirPath path(String label, double inletMm2) {
            double slots = tubes.size();
            if (round.isPresent()) {
                double round = Math.PI * in.get(ringInside);
                return new AirPath(label, inletMm2, round * in.get(ringSlot), outlet(), List.of(new Lever(ringSlot, round, "ring's slot")), AIR, List.of(new Lever(wall, 1, "duct wall")));
            }
            return new AirPath(label, inletMm2, slots * in.get(width) * in.get(height), outlet(),
                    List.of(new Lever(height, slots * in.get(width), "slot height"), new Lever(width, slots * in.get(height), "slot width")), AIR, List.of(new Lever(wall, 1, "duct wall")));
        }
    }

    /**
     * The outlets of a duct.
     *
     * @param from middle of the opening
     * @param tip what it is aimed at, {@code mount} where the site is it is seen from
     */
    public Made of(PartInputs in, Vec3 from, Optional<TipRef> tip, Placement mount) {
        return new Made(in, from, tip, mount);
    }
}
