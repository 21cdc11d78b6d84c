package tinperch.upgrade;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.machine.book.Component;
import tinperch.machine.book.ComponentKind;
import tinperch.machine.book.Ratings;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.family.FanDuct;
import tinperch.part.param.Values;
import tinperch.solid.Vec3;

/** What a part usually bears. */
public class UsualLoadTest {
    @Test
    public void theTableIsWhole() {
        UsualLoad.ALL.forEach(u -> {
            assertTrue(u.newton() > 0 && !u.name().isBlank() && u.lasting() != null, u.toString());
            assertEquals(u.direction().length(), 1, 1e-12);
        });
        assertEquals(UsualLoad.ALL.get(0).direction(), Vec3.Z.times(-1), "a spool hangs down");
    }

    /** 1 kg weighs 9.80665 N (ISO 80000-3). */
    @Test
    public void whatAPartIsMadeAroundWeighsOnIt() {
        Component fan = new Component("f", ComponentKind.FAN, "Part fan", "", new Ratings(24, 0.2, 0, 0, 40), LocalDate.of(2026, 1, 1), Optional.empty(), Optional.empty(), "", "").being("fan-40x10");
        Shop shop = PartExamples.shop(60, 50, 32, 32);
        PartDesign part = PartDesign.of("p1", "fan-duct", "duct", Values.START).bound(new FanDuct().roles().get(0).id(), new Binding.OfComponent("f"));
        List<Machine> machines = new ArrayList<>(shop.machines());
        machines.replaceAll(m -> m.withBook(m.book().fit(fan)));
        UsualLoad first = UsualLoad.of(PartExamples.caseOf(part, new Shop(machines, shop.hardware(), shop.drawer(), shop.models()))).get(0);
        assertEquals(first.name(), "weight of Part fan");
        assertEquals(first.newton(), 0.392, 1e-9);
    }
}
