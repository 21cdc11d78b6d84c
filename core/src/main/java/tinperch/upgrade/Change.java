package tinperch.upgrade;

import java.util.ArrayList;
import java.util.List;
import tinperch.machine.book.Book;
import tinperch.machine.book.Component;
import tinperch.machine.book.SettingChange;
import tinperch.machine.book.Wired;
import tinperch.machine.space.Axis;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Run;
import tinperch.machine.space.Site;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.Sheet;
import tinperch.part.bind.Binding;
import tinperch.part.feature.Feature;
import tinperch.part.form.Lie;
import tinperch.part.param.Param;
import tinperch.part.param.Values;

/** One change of a part, its upgrade or its machine. */
public sealed interface Change {
    /** The draft after it. */
    Draft in(Draft draft);

    /** Sets a parameter. */
    record Set<T>(Param<T> param, T value) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().with(param.set(d.part().values(), value)));
        }
    }

    /** Sets a parameter of a feature somebody placed. */
    record SetOnFeature<T>(String featureId, Param<T> param, T value) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.part().features().stream().filter(f -> f.id().equals(featureId)).findFirst().map(f -> d.with(d.part().with(f.with(param.set(f.values(), value))))).orElse(d);
        }
    }

    /** Sets all values at once: another way to lay the part out. */
    record Layout(Values values) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().with(values));
        }
    }

    /** Prints it in another material. */
    record OfMaterial(String material) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().withMaterial(material));
        }
    }

    /** Prints the upgrade's parts on another machine. */
    record Host(String machineId) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.upgrade().onHost(machineId));
        }
    }

    /** Lays a piece on another side when it is printed. */
    record Lay(String pieceId, Lie lie) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().laid(pieceId, lie));
        }
    }

    /** Binds a role to something else. */
    record Bind(String roleId, Binding binding) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().bound(roleId, binding));
        }
    }

    /** Mounts it on a site. */
    record AtSite(String siteId) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().atSite(siteId));
        }
    }

    /** Adds or changes a feature. */
    record PutFeature(Feature feature) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().with(feature));
        }
    }

    /** Takes a feature away. */
    record DropFeature(String featureId) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.part().withoutFeature(featureId));
        }
    }

    /** Adds or changes a reading sheet of the machine. */
    record PutSheet(Sheet sheet) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.machine().with(sheet));
        }
    }

    /** Fits a component to the machine. */
    record Fit(Component component) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.machine().withBook(d.machine().book().fit(component)));
        }
    }

    /** Sets a setting of the machine. */
    record Setting(SettingChange change) implements Change {
        @Override
        public Draft in(Draft d) {
            Book b = d.machine().book();
            // One that was set by the same remedy before is set anew.
            return d.with(d.machine().withBook(b.strikeOut(change.id()).set(change)));
        }
    }

    /** Wires a component of the machine otherwise. */
    record Wire(String componentId, Wired wired) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.machine().withBook(d.machine().book().wired(componentId, wired)));
        }
    }

    /** Leads a cable, a belt or filament otherwise. */
    record PutRun(Run run) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.machine().withSurroundings(d.machine().surroundings().with(run)));
        }
    }

    /** Adds or changes a site of the machine. */
    record PutSite(Site site) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.machine().withSurroundings(d.machine().surroundings().with(site)));
        }
    }

    /** Adds or moves a neighbour of the machine. */
    record PutNeighbour(Neighbour neighbour) implements Change {
        @Override
        public Draft in(Draft d) {
            return d.with(d.machine().withSurroundings(d.machine().surroundings().with(neighbour)));
        }
    }

    /**
     * Homes the machine's axes one after the other.
     *
     * @param axes by name, the first first
     */
    record HomingOrder(List<String> axes) implements Change {
        public HomingOrder {
            axes = List.copyOf(axes);
        }

        @Override
        public Draft in(Draft d) {
            Surroundings s = d.machine().surroundings();
            for (Axis a : d.machine().surroundings().axes()) {
                int at = axes.indexOf(a.name());
                s = at < 0 ? s : s.with(new Axis(a.name(), a.direction(), a.fromMm(), a.toMm(), a.homeAtTop(), at + 1));
            }
            return d.with(d.machine().withSurroundings(s));
        }
    }

    /** Puts screws of a length into the drawer: they were bought. */
    record Stock(String thread, double lengthMm) implements Change {
        @Override
        public Draft in(Draft d) {
            List<Double> next = new ArrayList<>(d.drawer().lengths(thread));
            next.add(lengthMm);
            return d.with(d.drawer().with(thread, next));
        }
    }

    /** All of several changes, one after the other. */
    static Draft all(Draft draft, List<Change> changes) {
        Draft d = draft;
        for (Change c : changes) {
            d = c.in(d);
        }
        return d;
    }
}
