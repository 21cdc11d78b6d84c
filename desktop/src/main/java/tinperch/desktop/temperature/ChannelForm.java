package tinperch.desktop.temperature;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.Choice;
import tinperch.desktop.look.FocusKept;
import tinperch.desktop.look.Form;
import tinperch.desktop.look.Ui;
import tinperch.machine.Machine;
import tinperch.machine.book.ComponentKind;
import tinperch.quantity.Quantity;
import tinperch.quantity.QuantityException;
import tinperch.quantity.Unit;
import tinperch.trial.Channel;
import tinperch.trial.Run;
import tinperch.upgrade.PartDesign;
import tinperch.upgrade.Upgrade;

/** What a channel is of, and its own limit: limits come from that by themselves. */
final class ChannelForm extends VBox {
    private final Desk desk;
    private final String machineId;
    private List<Object> last = List.of();

    ChannelForm(Desk desk, String machineId) {
        super(6);
        this.desk = desk;
        this.machineId = machineId;
        setPrefWidth(330);
        setMinWidth(330);
    }

    void show(Machine machine, Run run, Channel c) {
        List<Object> now = List.of(run.id(), c, options(machine, c.kind()));
        if (!now.equals(last)) {
            last = now;
            FocusKept.in(this, () -> fill(machine, run, c));
        }
    }

    private void fill(Machine machine, Run run, Channel c) {
        getChildren().clear();
        Form form = new Form(200);
        form.field("channel-name", "Channel", "What it is called here", c.name(), t -> {
            change(run, c, "name a channel", k -> k.withName(t.strip()));
            return Optional.empty();
        });
        form.choice("channel-kind", "It is of", "Limits follow from it", Arrays.stream(Channel.Kind.values()).map(k -> new Choice<>(k, k.label())).toList(), new Choice<>(c.kind(), c.kind().label()),
                k -> change(run, c, "say what a channel is of", x -> x.withKind(k.value())));
        List<Choice<String>> options = options(machine, c.kind());
        if (c.kind().isEndangered()) {
            ComboBox<Choice<String>> of = form.choice("channel-of", c.kind() == Channel.Kind.SPOT ? "Part" : "Contact or wire", "Its material's or its rating's limit is drawn", options, null,
                    o -> change(run, c, "say which one a channel is of", x -> x.of(o.value(), "")));
            Choice.fill(of, options, c.of());
            form.field("channel-where", "Where", "So that it can be measured at the same place again", c.where(), t -> {
                change(run, c, "say where a channel was measured", k -> k.where(t.strip()));
                return Optional.empty();
            });
        }
        Optional<Upgrade> spotted = c.kind() == Channel.Kind.SPOT ? desk.state().upgrades().stream().filter(u -> c.of().startsWith(u.id() + "/")).findFirst() : Optional.empty();
        form.field("channel-limit", "Own limit", "Drawn beside those that come by themselves; empty for none", c.limitC() > 0 ? Quantity.show(c.limitC(), Unit.CELSIUS) : "", t -> {
            try {
                double limit = t.isBlank() ? 0 : Quantity.parse(t, Unit.CELSIUS);
                if (limit < 0 || limit > 500) {
                    return Optional.of("A limit lies between 0 and 500 °C; the old one stays.");
                }
                change(run, c, "limit a channel", k -> k.withLimit(limit));
                return Optional.empty();
            } catch (QuantityException e) {
                return Optional.of(e.getMessage());
            }
        });
        getChildren().add(form);
        spotted.ifPresent(u -> getChildren().addAll(Ui.text(c.spot().isPresent() ? "Its place on the part was pointed at: estimates of heat there follow it." : "Where on the part it was has not been pointed at yet; then it would correct the estimate of heat there.", "faint"),
                Ui.id(Ui.button("Point at it on the part", "mdi2t-target", () -> desk.showHeat(u, c.of().substring(u.id().length() + 1))), "channel-point")));
    }

    private List<Choice<String>> options(Machine machine, Channel.Kind kind) {
        List<Choice<String>> all = new ArrayList<>();
        if (kind == Channel.Kind.SPOT) {
            for (Upgrade u : desk.state().upgrades()) {
                for (PartDesign p : u.machineId().equals(machineId) ? u.parts() : List.<PartDesign>of()) {
                    all.add(new Choice<>(u.id() + "/" + p.id(), p.name() + ", " + p.material()));
                }
            }
        } else {
            machine.book().components().stream().filter(c -> c.kind() == ComponentKind.CONTACT || c.ratings().limitC() > 0).forEach(c -> all.add(new Choice<>(c.id(), c.name())));
        }
        return all;
    }

    private void change(Run run, Channel c, String label, UnaryOperator<Channel> how) {
        desk.workshop().edit(label, s -> s.machine(machineId).flatMap(m -> m.run(run.id()).map(r -> {
            Channel now = r.channels().stream().filter(k -> k.id().equals(c.id())).findFirst().orElse(c);
            return s.with(m.with(r.with(how.apply(now))));
        })).orElse(s));
    }
}
