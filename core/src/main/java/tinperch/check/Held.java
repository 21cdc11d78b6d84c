package tinperch.check;

import java.util.List;
import tinperch.machine.book.Component;
import tinperch.part.bind.Binding;
import tinperch.upgrade.Case;

/** What of the machine's book a part is made around. */
final class Held {
    private Held() {}

    static List<Component> components(Case c) {
        return c.part().bindings().values().stream().filter(Binding.OfComponent.class::isInstance).map(Binding.OfComponent.class::cast).flatMap(k -> c.machine().book().component(k.componentId()).stream()).distinct().toList();
    }
}
