package tinperch.machine.frame;

import tinperch.machine.Machine;

/** A frame that says what it is when it is made. */
abstract class NamedFrame implements Frame {
    private final String id;
    private final String label;
    private final Machine.Kind kind;
    private final Bars bars;

    NamedFrame(String id, String label, Machine.Kind kind, Bars bars) {
        this.id = id;
        this.label = label;
        this.kind = kind;
        this.bars = bars;
    }

    @Override
    public final String id() {
        return id;
    }

    @Override
    public final String label() {
        return label;
    }

    @Override
    public final Machine.Kind kind() {
        return kind;
    }

    @Override
    public final Bars bars() {
        return bars;
    }
}
