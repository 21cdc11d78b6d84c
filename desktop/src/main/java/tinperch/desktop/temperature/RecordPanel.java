package tinperch.desktop.temperature;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.trial.simulated.SimulatedLogger;
import tinperch.trial.simulated.SimulatedPrinter;
import tinperch.trial.tell.Words;
import tinperch.workshop.device.LinePort;
import tinperch.workshop.device.Recorder;
import tinperch.workshop.device.SerialLinePort;
import tinperch.workshop.device.SimulatedLinePort;

/** Recording from a port: where from, how fast, whether it may be asked; and how it goes. */
final class RecordPanel extends VBox {
    private static final List<Choice<Integer>> BAUDS = List.of(new Choice<>(115_200, "115200 baud"), new Choice<>(250_000, "250000 baud"), new Choice<>(57_600, "57600 baud"), new Choice<>(19_200, "19200 baud"), new Choice<>(9600, "9600 baud"));
    private static final double ASK_S = 2;
    private static final double BLOCK_C = 210;
    private static final double BED_C = 60;
    private static final double CONTACT_C = 88;
    private static final double CONTACT_TAU_S = 240;
    private static final double ROOM_C = 21;
    private static final String PRINTER = "";
    private static final String LOGGER = " logger";

    private final Desk desk;
    private final String machineId;
    private final VBox setting = new VBox(6);
    private final ComboBox<Choice<String>> port;
    private final ComboBox<Choice<Integer>> baud;
    private final ComboBox<Choice<Optional<SimulatedPrinter.Fault>>> fault;
    private final CheckBox ask = Ui.id(new CheckBox("ask for a report every 2 s"), "record-ask");
    private final Label says = Ui.id(Ui.text("", "faint"), "record-says");
    private final Label complaint = Ui.id(Ui.text("", "complaint"), "record-complaint");
    private final Button open;
    private final Button stop;

    RecordPanel(Desk desk, String machineId) {
        super(6);
        this.desk = desk;
        this.machineId = machineId;
        open = Ui.id(Ui.button("Record", "mdi2r-record-circle-outline", this::open), "record-open");
        Ui.tip(open, "What its board reports, from a port, as long as you like");
        stop = Ui.id(Ui.button("Stop recording", "mdi2s-stop-circle-outline", () -> desk.recordings().stop(machineId)), "record-stop");
        port = Form.choice("record-port", List.<Choice<String>>of(), null, c -> chosen());
        port.setMaxWidth(Double.MAX_VALUE);
        List<Choice<Optional<SimulatedPrinter.Fault>>> faults = new ArrayList<>(List.of(new Choice<>(Optional.empty(), "nothing is wrong with it")));
        for (SimulatedPrinter.Fault f : SimulatedPrinter.Fault.values()) {
            faults.add(new Choice<>(Optional.of(f), f.label()));
        }
        fault = Form.choice("record-fault", faults, faults.get(0), c -> { });
        fault.setMaxWidth(Double.MAX_VALUE);
        baud = Form.choice("record-baud", BAUDS, BAUDS.get(0), c -> { });
        Ui.tip(ask, "Sends M105 and nothing else: it asks for temperatures, moves and heats nothing. Without it only what comes by itself is recorded");
        Button begin = Ui.id(Ui.button("Begin", null, this::begin), "record-begin");
        begin.getStyleClass().add("primary");
        setting.getChildren().addAll(Ui.label("From", "field-label"), port, fault, baud, ask, begin);
        getChildren().addAll(open, setting, stop, says, complaint);
        see(setting, false);
        see(complaint, false);
        refresh();
    }

    private static void see(javafx.scene.Node n, boolean seen) {
        n.setVisible(seen);
        n.setManaged(seen);
    }

    private void open() {
        boolean show = !setting.isVisible();
        see(setting, show);
        if (show) {
            List<Choice<String>> ports = new ArrayList<>();
            SerialLinePort.all().forEach(f -> ports.add(new Choice<>(f.systemName(), f.systemName() + ", " + f.description())));
            ports.add(new Choice<>(PRINTER, "simulated printer"));
            ports.add(new Choice<>(LOGGER, "simulated thermocouple logger"));
            Choice.fill(port, ports, ports.get(0).value());
            chosen();
        }
    }

    private void chosen() {
        String from = Choice.in(port, PRINTER);
        boolean real = !from.equals(PRINTER) && !from.equals(LOGGER);
        see(fault, from.equals(PRINTER));
        see(baud, real);
        see(ask, real);
    }

    private void begin() {
        String name = Choice.in(port, PRINTER);
        LinePort from;
        if (name.equals(LOGGER)) {
            from = new SimulatedLinePort(new SimulatedLogger(System.nanoTime(), CONTACT_C, CONTACT_TAU_S, ROOM_C), 1);
        } else if (name.equals(PRINTER)) {
            SimulatedPrinter.Fault wrong = Choice.in(fault, Optional.<SimulatedPrinter.Fault>empty()).orElse(null);
            SimulatedPrinter printer = new SimulatedPrinter(System.nanoTime(), false, wrong == null ? Set.of() : Set.of(wrong));
            printer.targets(BLOCK_C, BED_C);
            from = new SimulatedLinePort(printer, 1);
        } else {
            from = new SerialLinePort(name, Choice.in(baud, 115_200));
        }
        Optional<String> why = desk.recordings().begin(machineId, from, ask.isSelected() && ask.isVisible() ? ASK_S : 0);
        complaint.setText(why.orElse(""));
        see(complaint, why.isPresent());
        see(setting, false);
        refresh();
    }

    /** Says how it goes. */
    void refresh() {
        Optional<Recorder> going = desk.recordings().of(machineId);
        see(open, going.isEmpty());
        see(stop, going.isPresent());
        if (going.isPresent()) {
            see(setting, false);
        }
        Optional<Recorder.Status> s = desk.recordings().status(machineId);
        says.setText(going.isEmpty() ? "" : (going.get().isSimulated() ? "Simulated: " : "Recording: ") + s.map(t -> t.rows() + " rows, " + Words.time(t.seconds())).orElse("waiting for a report"));
        see(says, going.isPresent());
        String trouble = s.map(Recorder.Status::trouble).orElse("");
        if (s.isPresent()) {
            complaint.setText(trouble);
            see(complaint, !trouble.isEmpty());
        }
    }
}
