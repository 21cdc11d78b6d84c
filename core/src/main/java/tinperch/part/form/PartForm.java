package tinperch.part.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;

/**
 * What a family makes of its values: everything in one frame, that of the assembly, mm.
 *
 * @param pieces at least one
 * @param held what is mounted on it, simplified
 * @param joints how the pieces hold each other
 * @param ports what it offers to other parts
 * @param mount how it meets a site; empty when the part mounts on none
 * @param air ways air is led through it
 * @param tracks lines that must meet others of the machine
 * @param keyways set screws a key must get to
 */
public record PartForm(List<Piece> pieces, List<Screw> screws, List<Held> held, List<Joint> joints, List<Port> ports,
        List<Dimension> dimensions, Optional<Mount> mount, List<AirPath> air, List<Track> tracks, List<Keyway> keyways) {
    public PartForm {
        pieces = List.copyOf(pieces);
        screws = List.copyOf(screws);
        held = List.copyOf(held);
        joints = List.copyOf(joints);
        ports = List.copyOf(ports);
        dimensions = List.copyOf(dimensions);
        air = List.copyOf(air);
        tracks = List.copyOf(tracks);
        keyways = List.copyOf(keyways);
    }

    /** One that leads no air and nothing else. */
    public PartForm(List<Piece> pieces, List<Screw> screws, List<Held> held, List<Joint> joints, List<Port> ports,
            List<Dimension> dimensions, Optional<Mount> mount) {
        this(pieces, screws, held, joints, ports, dimensions, mount, List.of(), List.of(), List.of());
    }

    /**
     * How a part meets its site.
     *
     * @param frame meets the site's: z the way the site faces, origin at the middle of its holes
     * @param through whether it reaches through what it stands on, as through an opening
     * @param also points on faces it lies on besides, as an angle lies on two
     */
    public record Mount(Placement frame, boolean through, List<Vec3> also) {
        public Mount {
            also = List.copyOf(also);
        }

        /** One that lies on nothing else. */
        public Mount(Placement frame, boolean through) {
            this(frame, through, List.of());
        }
    }

    /** A part of one piece without joints and ports. */
    public static PartForm of(Piece piece, List<Screw> screws, List<Held> held, List<Dimension> dimensions, Optional<Mount> mount) {
        return new PartForm(List.of(piece), screws, held, List.of(), List.of(), dimensions, mount);
    }

    /** With other pieces. */
    public PartForm withPieces(List<Piece> next) {
        return new PartForm(next, screws, held, joints, ports, dimensions, mount, air, tracks, keyways);
    }

    /** With more ways in which pieces meet. */
    public PartForm joinedBy(List<Joint> more) {
        List<Joint> all = new ArrayList<>(joints);
        all.addAll(more);
        return new PartForm(pieces, screws, held, all, ports, dimensions, mount, air, tracks, keyways);
    }

    /** With more screws. */
    public PartForm screwedBy(List<Screw> more) {
        List<Screw> all = new ArrayList<>(screws);
        all.addAll(more);
        return new PartForm(pieces, all, held, joints, ports, dimensions, mount, air, tracks, keyways);
    }

    /** With ports. */
    public PartForm withPorts(List<Port> next) {
        return new PartForm(pieces, screws, held, joints, next, dimensions, mount, air, tracks, keyways);
    }

    /** With air led through it. */
    public PartForm withAir(List<AirPath> next) {
        return new PartForm(pieces, screws, held, joints, ports, dimensions, mount, next, tracks, keyways);
    }

    /** With lines that must meet others. */
    public PartForm withTracks(List<Track> next) {
        return new PartForm(pieces, screws, held, joints, ports, dimensions, mount, air, next, keyways);
    }

    /** With set screws a key must get to. */
    public PartForm withKeyways(List<Keyway> next) {
        return new PartForm(pieces, screws, held, joints, ports, dimensions, mount, air, tracks, next);
    }

    /** The piece of an id, if it has one. */
    public Optional<Piece> piece(String id) {
        return pieces.stream().filter(p -> p.id().equals(id)).findFirst();
    }
}
