package tinperch.benchmarks;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Slider;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.Page;
import tinperch.machine.Machine;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.workshop.log.RunWriter;

/** On the pages of machines: sheets, axes pulled, days gone back, ten million samples. */
final class FeltMachines {
    /** Of a person who looks before turning on; none with {@code -Dfelt.hasty=true}. */
    private static final long REST_MS = Boolean.getBoolean("felt.hasty") ? 0 : 4000;

    private FeltMachines() {}

    static void act(Felt felt) throws Exception {
        Desk desk = felt.desk();
        List<Machine> machines = desk.state().machines();
        // As somebody does who looks at each sheet for a moment first.
        for (Machine m : machines) {
            felt.act("the sheet of " + m.id() + " for the first time", 1, n -> desk.goTo(m));
            Thread.sleep(REST_MS);
            felt.act("its other pages for the first time", Page.values().length - 1, n -> desk.goTo(Page.values()[n + 1]));
            felt.calmly(() -> desk.goTo(Page.SHEET));
            Thread.sleep(REST_MS);
        }
        felt.act("to a machine's sheet", 12, n -> desk.goTo(machines.get(n % machines.size())));
        felt.act("from page to page of a machine", 20, n -> desk.goTo(Page.values()[(n + 1) % Page.values().length]));
        felt.calmly(() -> desk.goTo(Page.SURROUNDINGS));
        felt.act("move an axis by a step", 12, n -> felt.find("travel-x").fireEvent(key(KeyCode.RIGHT)));
        for (String id : List.of("avocet", "busy")) {
            felt.calmly(() -> {
                if (id.equals("busy")) {
                    desk.workshop().edit("busy", s -> s.with(MachineSpeed.busy()));
                }
                desk.goTo(desk.state().machine(id).orElseThrow());
                desk.goTo(Page.SURROUNDINGS);
            });
            Node views = felt.find("space-views");
            felt.stream(id + ", pull an axis, each frame", 600, n -> Felt.mouse(views, n));
            felt.calmly(() -> ((Button) felt.find("neighbour-" + desk.machine().orElseThrow().surroundings().neighbours().stream().filter(k -> k.group().isEmpty()).findFirst().orElseThrow().id())).fire());
            double[] at = (double[]) views.getProperties().get("chosen at");
            felt.stream(id + ", drag a thing, each frame", 600, n -> Felt.mouse(views, n, at[0], at[1]));
        }
        felt.calmly(() -> desk.goTo(Page.BOOK));
        felt.act("a day back in the book", 12, n -> {
            Slider day = (Slider) felt.find("book-day");
            day.setValue(day.getValue() - 5);
        });
    }

    /** A run of ten million samples is opened and moved along, seen closer each time. */
    static void temperatures(Felt felt) throws Exception {
        Desk desk = felt.desk();
        Random dice = new Random(1);
        try (RunWriter w = desk.workshop().logs().begin("long", 1)) {
            float[] v = new float[1];
            for (int i = 0; i < 10_000_000; i++) {
                v[0] = (float) (60 + 10 * Math.sin(i / 5000.0) + 0.2 * dice.nextGaussian());
                w.row(0.1 * i, v);
            }
            w.whole();
        }
        Run run = new Run("long", "Ten million", LocalDateTime.of(2026, 11, 1, 0, 0), 1e6, List.of(Channel.named("c0", "Chamber")), "benchmark", true, "");
        // Not the first run somebody looks at.
        felt.calmly(() -> desk.goTo(desk.state().machine("avocet").orElseThrow(), Page.TEMPERATURES));
        felt.calmly(() -> {
            desk.goTo(Page.SHEET);
            desk.workshop().edit("long", s -> s.with(s.machine("avocet").orElseThrow().with(run)));
        });
        // Whoever opens a run has seen the sheet first; what is made meanwhile is not part of it.
        Thread.sleep(2000);
        felt.until("open ten million samples", n -> desk.goTo(Page.TEMPERATURES), () -> felt.isThere("time-plot", p -> p.getProperties().get("drawn") instanceof Integer n && n > 0));
        Node plot = felt.find("time-plot");
        for (int closer : new int[] {1, 3, 6, 10}) {
            felt.calmly(() -> {
                for (int i = 0; i < closer; i++) {
                    plot.fireEvent(key(KeyCode.PLUS));
                }
            });
            felt.stream("move along ten million, each frame", 200, n -> Felt.mouse(plot, n));
        }
    }

    private static KeyEvent key(KeyCode code) {
        return new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false);
    }
}
