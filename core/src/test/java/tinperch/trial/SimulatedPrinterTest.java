package tinperch.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Set;
import org.testng.annotations.Test;
import tinperch.trial.simulated.SimulatedLogger;
import tinperch.trial.simulated.SimulatedPrinter;
import tinperch.trial.simulated.SimulatedPrinter.Fault;

/** The stand-in behaves as its equations say. */
public class SimulatedPrinterTest {
    private static Series block(SimulatedPrinter p, int seconds) {
        double[] s = new double[seconds];
        float[] v = new float[seconds];
        for (int i = 0; i < seconds; i++) {
            s[i] = i;
            v[i] = (float) p.blockC();
            p.pass(1);
        }
        return Series.of(s, v);
    }

    @Test
    public void aControlledOneStandsAtItsTargetASwitchedOneSwings() {
        SimulatedPrinter pid = new SimulatedPrinter(1, false, Set.of());
        pid.targets(210, 60);
        Series controlled = block(pid, 1200);
        Steady at = Steady.end(controlled).orElseThrow();
        assertEquals(at.mean(), 210, 0.5);
        assertTrue(at.deviation() < 0.5, "it stands: " + at);
        assertEquals(pid.bedC(), 60, 0.5);
        SimulatedPrinter relay = new SimulatedPrinter(1, true, Set.of());
        relay.targets(210, 60);
        Series switched = block(relay, 1200);
        Ripple r = Ripple.of(switched.between(600, 1200)).orElseThrow();
        assertTrue(r.amplitude() > 1, "on and off about its target: " + r);
        assertEquals(Steady.of(switched.between(600, 1200)).orElseThrow().mean(), 210, 4);
    }

    /** Full power without end: power over loss above the chamber, 40 / 0.125 = 320 K; watched for a while it is told where that ends. */
    @Test
    public void aRunawayEndsWherePowerAndLossMeet() {
        SimulatedPrinter p = new SimulatedPrinter(1, false, Set.of(Fault.RUNAWAY));
        p.pass(3000);
        assertEquals(p.blockC(), 21 + 320, 1);
        SimulatedPrinter q = new SimulatedPrinter(1, false, Set.of(Fault.RUNAWAY));
        q.pass(140);
        StepFit f = Rise.of(block(q, 200)).fit().orElseThrow();
        assertEquals(f.end(), 341, 8);
        // (9 + 14) J/K over 0.125 W/K.
        assertEquals(f.tauS(), 23 / 0.125, 12);
    }

    /** Its thermocouples read what they are at, to the tenth or two that five microvolts are. */
    @Test
    public void theLoggerReadsByItsThermocouples() {
        SimulatedLogger l = new SimulatedLogger(5, 88, 240, 21);
        double[] s = new double[900];
        float[] v = new float[900];
        for (int i = 0; i < 900; i++) {
            String[] parts = l.report().split("[: ]");
            assertEquals(Double.parseDouble(parts[3]), 21, 1.2);
            s[i] = i;
            v[i] = Float.parseFloat(parts[1]);
            l.pass(1);
        }
        StepFit f = Rise.of(Series.of(s, v)).fit().orElseThrow();
        assertEquals(f.end(), 88, 0.5);
        assertEquals(f.tauS(), 240, 6);
    }

    @Test
    public void faultsAreReported() {
        int lost = 0;
        SimulatedPrinter p = new SimulatedPrinter(3, false, Set.of(Fault.DROPPED_LINES, Fault.SENSOR_OPEN));
        p.pass(200);
        for (int i = 0; i < 200; i++) {
            String line = p.report();
            lost += line.isEmpty() ? 1 : 0;
            assertTrue(line.isEmpty() || line.contains("B:-44"), line);
        }
        assertTrue(lost > 30 && lost < 75, lost + " of 200");
        SimulatedPrinter drifting = new SimulatedPrinter(3, false, Set.of(Fault.DRIFT));
        drifting.pass(3000);
        assertTrue(drifting.report().startsWith("ok T:3"), "10 K more than its 21 °C: " + drifting.report());
    }
}
