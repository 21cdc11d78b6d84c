package tinperch.part.form;

import java.util.List;
import tinperch.part.param.Lever;
import tinperch.part.param.NumberParam;

/** How two pieces meet. */
public sealed interface Joint {
    /** What a finding calls it. */
    String label();

    /** One that bends when it is put together. */
    sealed interface Snap extends Joint permits AnnularSnap, CantileverSnap {}

    /**
     * Foam pressed between two faces.
     *
     * @param foamMm thickness of the foam as it is; 0 when nobody knows it
     * @param gapMm what it is pressed to
     * @param roleId the role whose foam it is
     * @param levers what widens the gap
     */
    record Seal(String label, String roleId, double foamMm, double gapMm, List<Lever> levers) implements Joint {
        public Seal {
            levers = List.copyOf(levers);
        }
    }

    /**
     * A ring that snaps over a bead.
     *
     * @param interferenceMm bead's diameter less the ring's
     * @param diameterMm of the ring's inside where it snaps
     * @param ringMm how thick the ring is where it snaps, {@code highMm} how high
     * @param wallMm of the tube the bead is on
     * @param slit whether the ring is open at one place, so that it springs apart, {@code slitBy} what opens it
     * @param soften what lessens the interference
     */
    record AnnularSnap(String label, double interferenceMm, double diameterMm, double ringMm, double highMm, double wallMm, boolean slit, NumberParam slitBy, List<Lever> soften) implements Snap {
        public AnnularSnap {
            soften = List.copyOf(soften);
        }
    }

    /**
     * A hook on an arm that bends.
     *
     * @param thicknessMm of the arm, {@code lengthMm} from its root to the hook, {@code undercutMm} how far it bends
     * @param widthMm of the arm; 0 where it is none of one width
     * @param leadDeg how steep the flank is that it is pushed on by, from the way it is pushed
     * @param soften what lessens the strain, by mm of undercut
     */
    record CantileverSnap(String label, double thicknessMm, double lengthMm, double undercutMm, double widthMm, double leadDeg, List<Lever> soften) implements Snap {
        public CantileverSnap {
            soften = List.copyOf(soften);
        }
    }

    /**
     * A six-sided bush whose hole is off its middle, turned to where the hole is wanted.
     *
     * @param offMm how far off its hole is, {@code turnDeg} to which of its six positions it is turned
     * @param missedMm what is still left of the misfit, {@code playMm} what the screw can move in the hole, each way
     * @param levers what puts the hole farther off
     */
    record Bush(String label, double misfitMm, double offMm, double turnDeg, double missedMm, double playMm, List<Lever> levers) implements Joint {
        public Bush {
            levers = List.copyOf(levers);
        }
    }

    /**
     * A tapered dovetail: slides in freely, tight when home.
     *
     * @param taperDeg of each flank along the way it is pushed
     * @param clearanceMm each flank when home; less than 0 presses
     * @param wayMm how far it is pushed
     * @param levers what widens the clearance
     */
    record Dovetail(String label, double taperDeg, double clearanceMm, double wayMm, List<Lever> levers) implements Joint {
        public Dovetail {
            levers = List.copyOf(levers);
        }

        /** Play of each flank that a mm of the way takes away: the taper's tangent. */
        public double closesPerMm() {
            return Math.tan(Math.toRadians(taperDeg));
        }
    }

    /**
     * Something of the machine runs between two walls.
     *
     * @param label of what runs, {@code lengthMm} how long it is led
     * @param eachSideMm play between it and each wall, as drawn
     * @param halfWidthMm how well its own width is known, 95 %; 0 where it was not read
     * @param levers what widens the play of each side
     */
    record Guide(String label, double lengthMm, double eachSideMm, double halfWidthMm, List<Lever> levers) implements Joint {
        public Guide {
            levers = List.copyOf(levers);
        }
    }

    /**
     * A ball in a cup of fingers that press on it: it stays where it is put as long as friction holds it.
     *
     * @param ballMm diameter of the ball
     * @param pressMm how far the fingers are bent open, each
     * @param fingers how many, {@code thickMm} across, {@code longMm} from root to mouth, {@code wideMm} each
     * @param armMm from this ball to where the load hangs when all is stretched out level
     * @param levers what presses harder, and what shortens the arm, by mm of it
     */
    record Ball(String label, double ballMm, double pressMm, int fingers, double thickMm, double longMm, double wideMm, double armMm, List<Lever> harder, List<Lever> shorter) implements Joint {
        public Ball {
            harder = List.copyOf(harder);
            shorter = List.copyOf(shorter);
        }
    }

    /**
     * An arm that props a post against swaying.
     *
     * @param lengthMm of the arm, {@code sectionMm2} across it
     * @param angleDeg between the arm and the way the post sways, {@code heightMm} above the post's foot it meets it
     */
    record Brace(String label, double lengthMm, double sectionMm2, double angleDeg, double heightMm) implements Joint {}
}
