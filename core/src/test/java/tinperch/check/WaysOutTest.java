package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;
import tinperch.fact.FactsOnce;
import tinperch.fact.FormFact;
import tinperch.part.PartExamples;
import tinperch.part.PartFamily;
import tinperch.part.family.FilterHousing;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.Values;
import tinperch.quantity.Unit;
import tinperch.solid.Stop;
import tinperch.upgrade.Case;
import tinperch.upgrade.Families;

/** Ways out of numbers no part can be made of. */
public class WaysOutTest {
    private static String problem(String familyId, Values v) {
        return new FactsOnce(PartExamples.usual(familyId, v)).get(FormFact.FORM).problem();
    }

    /** A cartridge of 100 with ledges of 5 leaves 90: an inlet of 95 gives way to 90, or the ledge to 2.5, half of what is left beside 95. */
    @Test
    public void eitherOfTwoDemandsGivesWay() {
        Values v = Values.START.with(FilterHousing.INLET, 95.0);
        Case c = PartExamples.usual("filter-housing", v);
        List<WaysOut.Way> ways = WaysOut.of(c, Optional.of(FilterHousing.INLET), Stop.NEVER);
        assertEquals(ways.size(), 2);
        assertEquals(ways.get(0).param(), FilterHousing.INLET);
        assertEquals(ways.get(0).to(), 90, 1e-9);
        assertEquals(ways.get(1).param(), FilterHousing.LEDGE);
        assertEquals(ways.get(1).to(), 2.5, 1e-9);
        assertTrue(ways.get(1).label().contains("ledge 5 mm → 2.5 mm"), ways.get(1).label());
        assertEquals(FilterHousing.INLET.of(ways.get(1).values()), 95.0, "what was asked for stays");
    }

    /** A part that cannot be built after new readings has the same ways as remedies. */
    @Test
    public void aPartThatCannotBeBuiltIsOfferedThem() {
        Finding f = PartExamples.find(PartExamples.usual("filter-housing", Values.START.with(FilterHousing.INLET, 95.0)), "part");
        assertEquals(f.severity(), Severity.STOP);
        assertTrue(f.remedies().size() == 2 && f.remedies().stream().anyMatch(r -> r.label().startsWith("inlet")), f.remedies().toString());
    }

    /** Whatever was typed into whatever kind of part: what is offered can be built, and nearly always something is. */
    @Test
    public void whatIsOfferedCanBeBuilt() {
        Random dice = new Random(71);
        int failed = 0;
        int helped = 0;
        for (PartFamily f : Families.ALL) {
            List<NumberParam> numbers = f.params().stream().filter(NumberParam.class::isInstance).map(NumberParam.class::cast).toList();
            for (int i = 0, tries = 0; i < 4 && tries < 60; tries++) {
                NumberParam n = numbers.get(dice.nextInt(numbers.size()));
                Values v = n.set(Values.START, n.unit() == Unit.COUNT ? n.min() + dice.nextInt((int) (n.max() - n.min()) + 1) : n.min() + dice.nextDouble() * (n.max() - n.min()));
                if (problem(f.id(), v).isEmpty() || !problem(f.id(), Values.START).isEmpty()) {
                    continue;
                }
                i++;
                failed++;
                List<WaysOut.Way> ways = WaysOut.of(PartExamples.usual(f.id(), v), Optional.<Param<?>>of(n), Stop.NEVER);
                helped += ways.isEmpty() ? 0 : 1;
                for (WaysOut.Way w : ways) {
                    assertEquals(problem(f.id(), w.values()), "", f.title() + ": " + w.label());
                }
            }
        }
        assertTrue(failed > 20 && helped >= failed * 0.95, helped + " of " + failed);
    }

    /** A file may hold a number no field takes: the way out is the nearest that is one. */
    @Test
    public void aNumberOutOfItsRangeIsBroughtBack() {
        Values v = new Values(java.util.Map.of(FilterHousing.BASE.key(), 900.0), java.util.Map.of());
        List<WaysOut.Way> ways = WaysOut.of(PartExamples.usual("filter-housing", v), Optional.empty(), Stop.NEVER);
        assertEquals(ways.get(0).param(), FilterHousing.BASE);
        assertEquals(ways.get(0).to(), FilterHousing.BASE.max(), 1e-9);
        assertTrue(ways.get(0).label().startsWith("base 900 mm →"), ways.get(0).label());
    }
}
