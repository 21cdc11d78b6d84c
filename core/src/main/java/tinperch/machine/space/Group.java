package tinperch.machine.space;

import java.util.List;

/**
 * Things that move together.
 *
 * @param axes names of the axes it rides on; none for what stands still
 */
public record Group(String name, List<String> axes) {
    public Group {
        axes = List.copyOf(axes);
    }
}
