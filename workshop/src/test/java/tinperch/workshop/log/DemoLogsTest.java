package tinperch.workshop.log;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import tinperch.machine.Machine;
import tinperch.trial.Kept;
import tinperch.trial.Run;
import tinperch.workshop.demo.DemoLogs;
import tinperch.workshop.demo.DemoWorkshop;

/** The demo's runs: what is kept of them is what their samples say. */
public class DemoLogsTest {
    @Test
    public void whatIsKeptIsWhatTheSamplesSay() throws IOException {
        Path folder = Files.createTempDirectory("demo-logs");
        List<Machine> machines = DemoWorkshop.state().machines();
        int told = 0;
        try (LogStore logs = LogStore.open(folder.resolve("logs.db"))) {
            DemoLogs.fill(machines, logs);
            for (Machine m : machines) {
                for (Run r : m.runs()) {
                    assertTrue(r.simulated(), "nobody recorded it");
                    List<Optional<Kept>> kept = logs.read(r.id()).kept();
                    assertEquals(logs.read(r.id()).lastS(), r.lengthS(), 2);
                    for (int i = 0; i < kept.size(); i++) {
                        Optional<Kept> said = r.channels().get(i).kept();
                        if (said.isPresent()) {
                            told++;
                            assertEquals(said.get().stood(), kept.get(i).orElseThrow().stood());
                            assertEquals(said.get().stoodC(), kept.get(i).get().stoodC(), 0.1, r.name() + ", " + r.channels().get(i).name());
                            assertEquals(said.get().peakC(), kept.get(i).get().peakC(), 0.8);
                        }
                    }
                }
            }
        }
        assertEquals(told, 10);
        for (java.io.File f : folder.toFile().listFiles()) {
            f.delete();
        }
        folder.toFile().delete();
    }
}
