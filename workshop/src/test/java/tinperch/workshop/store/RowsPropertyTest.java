package tinperch.workshop.store;

import static org.testng.Assert.assertEquals;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Surroundings;
import tinperch.measure.sheet.Sheet;
import tinperch.part.family.ToolCarriagePlate;
import tinperch.solid.Vec3;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;
import tinperch.workshop.TempFolder;
import tinperch.workshop.WorkshopState;
import tinperch.workshop.demo.DemoWorkshop;

/** Random edits, undone at random: whatever was written row by row is read as the state it was. */
public class RowsPropertyTest extends TempFolder {
    private static WorkshopState edited(WorkshopState s, Random r, int n) {
        Machine m = s.machines().get(r.nextInt(s.machines().size()));
        Upgrade u = s.upgrades().get(r.nextInt(s.upgrades().size()));
        return switch (r.nextInt(9)) {
            case 0 -> m.sheets().isEmpty() ? s : s.with(m.with(m.sheets().get(r.nextInt(m.sheets().size())).named("sheet " + n)));
            case 1 -> s.with(m.with(new Sheet("new-" + n, "pair", "pair " + n, java.util.Map.of())));
            case 2 -> m.sheets().isEmpty() ? s : s.with(m.withoutSheet(m.sheets().get(r.nextInt(m.sheets().size())).id()));
            case 3 -> s.with(m.withSurroundings(m.surroundings().with(new Neighbour("n-" + n, "neighbour " + n, "", Neighbour.Kind.SOLID, Neighbour.Form.BOX,
                    new Vec3(n, r.nextInt(100), 3), new Vec3(5, 6, 7), "z", 1, 0))));
            case 4 -> withoutOne(s, m, r);
            case 5 -> s.with(m.withName("machine " + n));
            case 6 -> u.parts().isEmpty() ? s : s.with(u.with(u.parts().get(0).with(u.parts().get(0).values().with(ToolCarriagePlate.WIDTH, 60.0 + r.nextInt(60)))));
            case 7 -> s.with(u.with(PartDesign.of(u.nextPartId(), "hose-adapter", "part " + n, tinperch.part.param.Values.START)));
            default -> u.parts().size() < 2 ? s : s.with(u.without(u.parts().get(r.nextInt(u.parts().size())).id()));
        };
    }

    private static WorkshopState withoutOne(WorkshopState s, Machine m, Random r) {
        List<Neighbour> all = m.surroundings().neighbours();
        if (all.isEmpty()) {
            return s;
        }
        Surroundings next = m.surroundings().without(all.get(r.nextInt(all.size())).id());
        return s.with(m.withSurroundings(next));
    }

    @Test
    public void whatIsWrittenRowByRowIsReadAsItWas() {
        Path file = folder.resolve("workshop.db");
        Random r = new Random(77);
        WorkshopState now = DemoWorkshop.state();
        Deque<WorkshopState> before = new ArrayDeque<>();
        WorkshopStore store = WorkshopStore.open(file);
        try {
            store.save(WorkshopState.EMPTY, now);
            for (int n = 0; n < 160; n++) {
                WorkshopState next = r.nextInt(4) == 0 && !before.isEmpty() ? before.pop() : edited(now, r, n);
                if (next != now && r.nextInt(4) != 0) {
                    before.push(now);
                }
                store.save(now, next);
                now = next;
                if (n % 20 == 0) {
                    assertEquals(store.load(), now, "after edit " + n);
                }
                if (n % 50 == 49) {
                    // Another window later: nothing is remembered of what was written.
                    store.close();
                    store = WorkshopStore.open(file);
                    assertEquals(store.load(), now, "opened again after edit " + n);
                }
            }
            store.save(now, WorkshopState.EMPTY);
            assertEquals(store.load(), WorkshopState.EMPTY, "nothing is left behind");
        } finally {
            store.close();
        }
    }
}
