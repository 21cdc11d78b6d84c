package tinperch.upgrade;

import java.util.ArrayList;
import java.util.List;
import tinperch.part.bind.Binding;
import tinperch.quantity.Table;
import tinperch.solid.Vec3;

/**
 * What parts usually bear, a row of {@code loads.csv} (values from memory): where to begin, not what was measured.
 *
 * @param newton how hard, N
 * @param way along one of the machine's axes: x, -x, y, -y, z, -z
 * @param lasting how long and how often
 */
public record UsualLoad(String name, double newton, String way, Load.Lasting lasting) {
    public static final List<UsualLoad> ALL = Table.read(UsualLoad.class, "loads.csv", UsualLoad.class);

    private static final double N_PER_G = 0.00980665;

    /** The weights of what a part is made around, as far as the machine's book has them, then all of the table. */
    public static List<UsualLoad> of(Case c) {
        List<UsualLoad> all = new ArrayList<>();
        c.part().bindings().values().stream().filter(Binding.OfComponent.class::isInstance).map(Binding.OfComponent.class::cast).flatMap(b -> c.machine().book().component(b.componentId()).stream()).distinct()
                .filter(x -> x.ratings().massG() > 0).forEach(x -> all.add(new UsualLoad("weight of " + x.name(), Math.round(1000 * N_PER_G * x.ratings().massG()) / 1000.0, "-z", Load.Lasting.STEADY)));
        all.addAll(ALL);
        return all;
    }

    /** The way it pulls, unit. */
    public Vec3 direction() {
        Vec3 axis = way.endsWith("x") ? Vec3.X : way.endsWith("y") ? Vec3.Y : Vec3.Z;
        return way.startsWith("-") ? axis.times(-1) : axis;
    }
}
