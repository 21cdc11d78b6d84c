package tinperch.fact;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.material.Material;
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
 * walked through.
 */
public final class StrengthFact implements Fact<List<StrengthFact.Borne>> {
    public static final StrengthFact STRENGTH = new StrengthFact();
    /** This near the plane it mounts on a face lies on the machine, mm. */
    private static final double LIES_MM = 0.3;
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
     * @param how whether it could be told
     * @param walk from the load to where the piece is held; empty where there is none
     * @param sections what was walked through, for other forces at the same place
     */
    public record Borne(Load load, Piece piece, How how, Optional<SectionWalk> walk, Optional<SectionWalk.Sections> sections) {}

    /** Whether a load could be followed. */
    public enum How {
        /** Its way was walked. */
        WALKED,
        /** It acts right over the place that lies on the machine. */
        OVER_ITS_FIXING,
        /** The piece lies on the machine nowhere. */
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
    public static boolean isBetweenLayers(SectionWalk.Station s) {
        return Math.abs(s.normal().z()) > IN_LAYERS_COS;
    }

    /** What breaks a section, MPa. */
    public static double strengthMPa(SectionWalk.Station s, Material m) {
        return isBetweenLayers(s) ? m.acrossLayersMPa() : m.strengthMPa();
    }

    /** What a section may bear of a load, MPa. */
    public static double allowedMPa(Load l, SectionWalk.Station s, Material m) {
        return share(l.lasting(), m) * strengthMPa(s, m);
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
                    all.add(borne(l, m, m.piece().place().inverse().times(mount.get().frame()), material.get().modulusGPa() * MPA_PER_GPA, facts));
                }
            });
        }
        return all;
    }

    /** @param frame of the plane it mounts on, in the piece's coordinates */
    private static Borne borne(Load l, MeshesFact.Made m, Placement frame, double modulusMPa, Facts facts) {
        Optional<Vec3> held = nearestHeld(m.mesh(), frame, l.at());
        if (held.isEmpty()) {
            return new Borne(l, m.piece(), How.HELD_BY_ANOTHER, Optional.empty(), Optional.empty());
        }
        Optional<SectionWalk.Sections> sections = SectionWalk.sections(m.mesh(), l.at(), held.get(), SECTIONS, facts.stop());
        return new Borne(l, m.piece(), sections.isPresent() ? How.WALKED : How.OVER_ITS_FIXING, sections.map(s -> s.under(l.forceN(), modulusMPa)), sections);
    }

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
