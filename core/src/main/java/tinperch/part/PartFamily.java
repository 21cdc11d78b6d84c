package tinperch.part;

import java.util.List;
import tinperch.part.bind.Refs;
import tinperch.part.bind.Role;
import tinperch.part.form.PartForm;
import tinperch.part.param.Card;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.Values;

/** A kind of part. Stateless: the same inputs give the same form. It never judges what it makes. */
public interface PartFamily {
    /** Stable name for storage. */
    String id();

    /** What the owner calls it. */
    String title();

    /** What it is for, one sentence. */
    String purpose();

    /** What it does for a machine; kinds of part are grouped by it. */
    Does does();

    /** What it is built around. */
    List<Role<?>> roles();

    /** What the view from above is called. */
    default String above() {
        return "from above";
    }

    /** All parameters, in the order they are shown. */
    List<Param<?>> params();

    /**
     * Builds the part.
     *
     * @throws PartProblem when the values fit no part
     */
    PartForm form(PartInputs inputs);

    /** What the parameters of a card amount to, in a few words. */
    String summary(Card card, Values values);

    /** Other ways to lay the same part out, to be tried when something is in the way of something else; none may be good. */
    default List<Way> ways(PartInputs inputs) {
        return List.of();
    }

    /** Values of a new part around what is known, the most natural first; the first that nothing stops is taken. */
    default List<Values> starts(Refs refs) {
        return List.of(Values.START);
    }
}
