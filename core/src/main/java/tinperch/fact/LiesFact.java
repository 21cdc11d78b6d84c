package tinperch.fact;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import tinperch.part.form.Lie;
import tinperch.solid.query.Footing;
import tinperch.upgrade.Case;

/** What each piece would stand on and what of it would hang, on each of its sides. */
public final class LiesFact implements Fact<Map<String, Map<Lie, LiesFact.Lying>>> {
    public static final LiesFact LIES = new LiesFact();

    private LiesFact() {}

    /** So many times its foot's width a piece may be high (value from memory). */
    public static final double SLENDER = 6;
    /** Less than this comes loose, mm² (value from memory). */
    public static final double LEAST_MM2 = 50;

    /** @param hangsMm2 what needs support */
    public record Lying(double hangsMm2, Footing footing) {}

    /** Whether something stands on what it has on the bed. */
    public static boolean stands(Footing f) {
        return f.areaMm2() >= LEAST_MM2 && f.heightMm() <= SLENDER * f.widthMm();
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return FormFact.solids(c, facts);
    }

    @Override
    public Map<String, Map<Lie, Lying>> compute(Case c, Facts facts) {
        Map<String, Map<Lie, Lying>> all = new HashMap<>();
        for (MeshesFact.Made m : facts.get(MeshesFact.BARE).pieces()) {
            Map<Lie, Lying> lying = new EnumMap<>(Lie.class);
            for (Lie l : Lie.values()) {
                facts.stop().check();
                double hangs = OverhangsFact.of(m.mesh(), l).stream().filter(o -> o.bridgeMm().isEmpty()).mapToDouble(o -> o.areaMm2()).sum();
                lying.put(l, new Lying(hangs, Footing.of(m.mesh(), l.up())));
            }
            all.put(m.piece().id(), lying);
        }
        return all;
    }
}
