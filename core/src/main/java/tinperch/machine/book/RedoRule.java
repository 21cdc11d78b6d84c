package tinperch.machine.book;

import java.util.List;
import tinperch.quantity.Table;

/**
 * One row of {@code redo.csv}: what a change asks for.
 *
 * @param cause a {@link ComponentKind} name or the {@code redo} word of a setting
 */
public record RedoRule(String cause, String step, String reason) {
    public static final List<RedoRule> ALL = Table.read(RedoRule.class, "redo.csv", RedoRule.class);

    public static List<RedoRule> of(String cause) {
        return ALL.stream().filter(r -> r.cause.equals(cause)).toList();
    }
}
