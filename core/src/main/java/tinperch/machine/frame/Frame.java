package tinperch.machine.frame;

import tinperch.machine.Machine;
import tinperch.machine.space.Surroundings;

/** A kind of machine as it is usually built. Common practice, unless a size is of the catalogue. */
public interface Frame {
    /** For buttons and files. */
    String id();

    /** "Moving bed, profiles". */
    String label();

    /** Machines it is offered to first. */
    Machine.Kind kind();

    /** What its bars are. */
    Bars bars();

    /** All that stands there, for numbers that were checked. */
    Surroundings put(FrameNumbers n);

    /** What a frame is made of: the kind of usual thing whose size is asked for. */
    enum Bars {
        PROFILE("profile", "Profile", 20), ROD("rod", "Rods", 8), NONE("", "", 0);

        private final String usualKind;
        private final String label;
        private final double usualMm;

        Bars(String usualKind, String label, double usualMm) {
            this.usualKind = usualKind;
            this.label = label;
            this.usualMm = usualMm;
        }

        /** Kind in the catalogue of usual things. */
        public String usualKind() {
            return usualKind;
        }

        public String label() {
            return label;
        }

        /** Side or diameter to begin with, mm. */
        public double usualMm() {
            return usualMm;
        }
    }
}
