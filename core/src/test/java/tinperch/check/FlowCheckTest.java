package tinperch.check;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import org.testng.annotations.Test;
import tinperch.part.PartExamples;
import tinperch.part.bind.Binding;
import tinperch.part.family.BlowerDuct;
import tinperch.part.family.FanDuct;
import tinperch.part.param.Values;
import tinperch.upgrade.Case;

/** Fans behind ducts and filters. */
public class FlowCheckTest {
    private static Finding found(String family, Values v) {
        return found(PartExamples.usual(family, v));
    }

    private static Finding found(Case c) {
        return PartExamples.findings(c).stream().filter(f -> f.id().startsWith("flow.")).findFirst().orElseThrow();
    }

    @Test
    public void anAxialFanDoesNotGetThroughACartridge() {
        Case plain = PartExamples.usual("filter-housing", Values.START);
        Finding f = found(PartExamples.caseOf(plain.part().bound("mount", new Binding.Usual("fan-80")), PartExamples.shop(60, 50, 32, 32)));
        assertEquals(f.severity(), Severity.LOOK);
        assertTrue(f.what().matches("The air through the .* stalls its fan: about \\d\\.\\d to \\d\\.\\d of 60 m³/h"), f.what());
        assertTrue(f.why().contains("take a radial fan"), f.why());
    }

    @Test
    public void aNarrowerOutletLetsLessThroughAndIsCuredByAWiderOne() {
        double wide = found("fan-duct", Values.START.with(FanDuct.OUTLETS.height, 12.0)).margin().orElseThrow().value();
        double narrow = found("fan-duct", Values.START.with(FanDuct.OUTLETS.height, 5.0)).margin().orElseThrow().value();
        assertTrue(narrow < wide && wide < 100, narrow + " " + wide);
        Finding f = found("fan-duct", Values.START.with(FanDuct.OUTLETS.height, 3.0).with(FanDuct.OUTLETS.width, 14.0));
        assertEquals(f.severity(), Severity.LOOK, f.why());
        assertTrue(f.remedies().size() == 2, "height or width");
    }

    @Test
    public void aRadialFanStandsPressure() {
        Finding f = found("blower-duct", Values.START.with(BlowerDuct.OUTLETS.height, 2.0).with(BlowerDuct.OUTLETS.width, 8.0));
        assertEquals(f.severity(), Severity.FINE);
        assertTrue(f.margin().orElseThrow().value() < 33, "an axial one would stall there: " + f.what());
    }
}
