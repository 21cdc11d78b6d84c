package tinperch.fact;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import tinperch.material.Material;
import tinperch.part.form.Lie;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.solid.query.Nearest;
import tinperch.strength.SectionWalk;
import tinperch.upgrade.Case;
import tinperch.upgrade.Load;

/**
 * What each load of a part does between the place it acts at and the nearest place where the piece lies on the machine. A piece that lies on the machine nowhere is held by another one, and is not
 * walked through to the nearest place where it touches that one, which bears the load then.
 */
public final class StrengthFact implements Fact<List<StrengthFact.Borne>> {
    public static final StrengthFact STRENGTH = new StrengthFact();
    /** This near the plane it mounts on a face lies on the machine, mm. */
    private static final double LIES_MM = 0.3;
    /** So near pieces touch: joints have play, mm. */
    private static final double TOUCHES_MM = 0.6;
    private static final int SECTIONS = 30;
    /** Of the strength, again and again, as shaken or pulled every stroke, and now and then (common practice); all the time the material says. */
    private static final double AGAIN = 0.25;
    private static final double ONCE = 0.5;
    private static final double IN_LAYERS_COS = Math.cos(Math.toRadians(45));
    static final double MPA_PER_GPA = 1000;

    private StrengthFact() {}

    /**
     * A load and what it does.
     *
     * @param load in the piece's coordinates, at the place the piece takes it; {@code actsAt} where the force itself acts, elsewhere for one that is handed on
     * @param handedBy the piece that hands it on; empty for the one the load acts on
     * @param how whether it could be told
     * @param walk from the load to where the piece is held; empty where there is none
     * @param sections what was walked through, for other forces at the same place
     */
    public record Borne(Load load, Vec3 actsAt, Optional<Piece> handedBy, Piece piece, How how, Optional<SectionWalk> walk, Optional<SectionWalk.Sections> sections) {}

    /** Whether a load could be followed. */
    public enum How {
        /** Its way was walked. */
        WALKED,
        /** It acts right over the place that lies on the machine. */
        OVER_ITS_FIXING,
        /** The piece lies on the machine nowhere and touches no other. */
        HELD_BY_ANOTHER
    }

    /** Of its strength a material bears this share as long as a force comes like that. */
    public static double share(Load.Lasting lasting, Material m) {
        return switch (lasting) {
            case STEADY -> m.steadyPercent() / 100;
            case AGAIN -> AGAIN;
            case ONCE -> ONCE;
        };
    }

    /** Sections that lie nearly in a layer are pulled apart between layers. */
    public static boolean isBetweenLayers(SectionWalk.Station s, Lie lie) {
        return Math.abs(s.normal().dot(lie.up())) > IN_LAYERS_COS;
    }

    /** What breaks a section, MPa. */
    public static double strengthMPa(SectionWalk.Station s, Lie lie, Material m) {
        return isBetweenLayers(s, lie) ? m.acrossLayersMPa() : m.strengthMPa();
    }

    /** What a section may bear of a load, MPa. */
    public static double allowedMPa(Load l, SectionWalk.Station s, Lie lie, Material m) {
        return share(l.lasting(), m) * strengthMPa(s, lie, m);
    }

    @Override
    public Object inputs(Case c, Facts facts) {
        return List.of(FormFact.solids(c, facts), facts.get(FormFact.FORM).form().map(PartForm::mount), c.part().loads(), Material.find(c.part().material()).map(Material::modulusGPa));
    }

    @Override
    public List<Borne> compute(Case c, Facts facts) {
        Optional<PartForm.Mount> mount = facts.get(FormFact.FORM).form().flatMap(PartForm::mount);
        Optional<Material> material = Material.find(c.part().material());
        List<Borne> all = new ArrayList<>();
        for (Load l : c.part().loads()) {
            facts.stop().check();
            facts.get(MeshesFact.BARE).pieces().stream().filter(m -> m.piece().id().equals(l.pieceId())).findFirst().ifPresent(m -> {
                if (mount.isPresent() && material.isPresent()) {
                    new Handing(mount.get().frame(), material.get().modulusGPa() * MPA_PER_GPA, facts, all).follow(l, m);
                }
            });
        }
        return all;
    }

    /** Follows a load from piece to piece to one that lies on the machine. */
    private record Handing(Placement frame, double modulusMPa, Facts facts, List<Borne> all) {
        void follow(Load l, MeshesFact.Made first) {
            Set<String> seen = new HashSet<>(Set.of(first.piece().id()));
            MeshesFact.Made m = first;
            Load now = l;
            Vec3 acts = l.at();
            Optional<Piece> by = Optional.empty();
            while (m != null) {
                Optional<Vec3> held = nearestHeld(m.mesh(), m.piece().place().inverse().times(frame), now.at());
                Optional<Contact> next = held.isPresent() ? Optional.empty() : contact(m, now.at(), seen);
                Optional<Vec3> to = held.or(() -> next.map(Contact::at));
                if (to.isEmpty()) {
                    all.add(new Borne(now, acts, by, m.piece(), How.HELD_BY_ANOTHER, Optional.empty(), Optional.empty()));
                    return;
                }
                Vec3 force = acts;
                Load load = now;
                Optional<SectionWalk.Sections> sections = SectionWalk.sections(m.mesh(), now.at(), to.get(), SECTIONS, facts.stop()).map(s -> s.acting(force));
                all.add(new Borne(now, acts, by, m.piece(), sections.isPresent() ? How.WALKED : How.OVER_ITS_FIXING, sections.map(s -> s.under(load.forceN(), modulusMPa)), sections));
                by = Optional.of(m.piece());
                MeshesFact.Made other = next.map(Contact::other).orElse(null);
                if (other != null) {
                    Placement across = other.piece().place().inverse().times(m.piece().place());
                    Vec3 at = to.get();
                    now = new Load(l.id(), l.name(), other.piece().id(), across.point(at.x(), at.y(), at.z()), across.turned(now.forceN()), l.lasting());
                    acts = across.point(acts.x(), acts.y(), acts.z());
                    seen.add(other.piece().id());
                }
                m = other;
            }
        }

        /** Where a piece touches another one nearest to a place; one that lies on the machine before others. */
        private Optional<Contact> contact(MeshesFact.Made m, Vec3 near, Set<String> seen) {
            List<MeshesFact.Made> made = facts.get(MeshesFact.BARE).pieces();
            Contact best = null;
            for (int i = 0; i < made.size(); i++) {
                MeshesFact.Made o = made.get(i);
                if (seen.contains(o.piece().id())) {
                    continue;
                }
                boolean lies = nearestHeld(o.mesh(), o.piece().place().inverse().times(frame), Vec3.ZERO).isPresent();
                Placement across = o.piece().place().inverse().times(m.piece().place());
                for (int t = 0; t < m.mesh().triangleCount(); t++) {
                    Vec3 p = m.mesh().point(m.mesh().corner(t, 0)).plus(m.mesh().point(m.mesh().corner(t, 1))).plus(m.mesh().point(m.mesh().corner(t, 2))).times(1 / 3.0);
                    for (int k = 0; k < 4; k++) {
                        Vec3 q = k == 3 ? p : m.mesh().point(m.mesh().corner(t, k));
                        double mm = q.minus(near).length();
                        boolean better = best == null || lies && !best.lies || lies == best.lies && mm < best.mm;
                        if (better && Nearest.distanceMm(facts.get(TreesFact.TREES).get(i), across.point(q.x(), q.y(), q.z()), TOUCHES_MM) < TOUCHES_MM) {
                            best = new Contact(o, q, mm, lies);
                        }
                    }
                }
            }
            return Optional.ofNullable(best);
        }
    }

    /** Where a piece touches another, in its own coordinates. */
    private record Contact(MeshesFact.Made other, Vec3 at, double mm, boolean lies) {}

    /** The nearest place to a point of all faces that lie on the machine. */
    private static Optional<Vec3> nearestHeld(Mesh mesh, Placement frame, Vec3 to) {
        Vec3 best = null;
        for (int t = 0; t < mesh.triangleCount(); t++) {
            Vec3 a = mesh.point(mesh.corner(t, 0));
            Vec3 b = mesh.point(mesh.corner(t, 1));
            Vec3 c = mesh.point(mesh.corner(t, 2));
            if (lies(frame, a) && lies(frame, b) && lies(frame, c)) {
                Vec3 p = Nearest.onTriangle(to, a, b, c);
                best = best == null || p.minus(to).length() < best.minus(to).length() ? p : best;
            }
        }
        return Optional.ofNullable(best);
    }

    private static boolean lies(Placement frame, Vec3 p) {
        return Math.abs(frame.local(p).z()) < LIES_MM;
    }
}
