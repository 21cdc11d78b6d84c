package tinperch.desktop.machine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.StillLabel;
import tinperch.desktop.look.Ui;
import tinperch.desktop.sheet.Picked;
import tinperch.desktop.sheet.Turntable;
import tinperch.fact.HeatPictureFact;
import tinperch.fact.LoadPictureFact;
import tinperch.fact.PlacedFact;
import tinperch.machine.space.Gaps;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Shape;
import tinperch.machine.space.Surroundings;
import tinperch.solid.Bounds;
import tinperch.solid.Mesh;
import tinperch.solid.Placement;
import tinperch.solid.Vec3;
import tinperch.upgrade.Case;

/** The part looked at in its place on the machine: among its neighbours in three views and on a turntable, moved along the axes; there it can show how warm it gets. */
public final class PartInPlace extends BorderPane implements View {
    private static final String PART = "the part itself";
    private static final double AROUND_MM = 30;
    private static final double CLOSE_MM = 8;

    private final Desk desk;
    private final SpaceViews views;
    private final Turntable table;
    private final TravelStrips strips;
    private final GapWatch watch;
    private final PoseBar poses;
    private final Label tightest = Ui.id(Ui.label("", "strong"), "in-place-gap");
    private final VBox below;
    private final PartPicture picture;
    private Case asked;
    private Surroundings space = Surroundings.NONE;
    private Map<String, Shape> shapes = Map.of();
    private Shape part;
    private String group = "";
    private Look look = Look.MACHINE;
    private boolean turned;
    private BiConsumer<String, Vec3> pointed = (f, at) -> { };
    private Consumer<Optional<LoadPictureFact.Picture>> loaded = p -> { };
    private BiConsumer<HeatPictureFact.Face, Vec3> touched = (f, at) -> { };
    private Consumer<Optional<HeatPictureFact.Picture>> warmed = p -> { };

    public PartInPlace(Desk desk) {
        this.desk = desk;
        picture = new PartPicture(desk);
        views = new SpaceViews(desk.theme(), id -> { });
        table = new Turntable(desk.theme(), "neighbours", this::picked);
        table.setPrefWidth(300);
        // A low window makes the views small; they never reach over what stands above.
        views.setMinSize(0, 90);
        Ui.id(this, "in-place-view");
        strips = new TravelStrips(desk.theme(), null, () -> show(true));
        watch = new GapWatch(tightest, strips, "Nothing here moves against it.");
        poses = new PoseBar(null, strips::pose, strips::put);
        below = new VBox(6, new StillLabel(tightest, 1), strips, poses);
        arrange(false);
        setMinSize(0, 0);
        getStyleClass().add("fitting-sheet");
        setPadding(new javafx.geometry.Insets(6, 12, 10, 12));
    }

    /** The views and the strips, or, with the axes at home, the turntable alone. */
    private void arrange(boolean large) {
        setRight(null);
        setCenter(null);
        setRight(large ? null : table);
        setCenter(large ? table : views);
        setBottom(large ? null : below);
    }

    /** How it is looked at. */
    public enum Look {
        /** Among its neighbours, with the axes to be moved. */
        MACHINE,
        /** How warm it gets. */
        HEAT,
        /** Seen through, with the ways of the air it leads. */
        AIR,
        /** By itself and large, to be pointed at, with what loads do to it. */
        CLOSE
    }

    /** @param told what loads do to it when it is looked at close, or that there is nothing to show */
    public void onLoaded(Consumer<Optional<LoadPictureFact.Picture>> told) {
        loaded = told;
    }

    /** @param told the feature and the place that is clicked on when it is looked at close, with all axes at zero */
    public void onPointed(BiConsumer<String, Vec3> told) {
        pointed = told;
    }

    /**
     * Looks at it otherwise.
     *
     * @param warmed told the heat that is shown as often as it is another, or that there is none
     * @param touched told a place of it that is clicked on, with all axes at zero
     */
    public void look(Look how, Consumer<Optional<HeatPictureFact.Picture>> warmed, BiConsumer<HeatPictureFact.Face, Vec3> touched) {
        this.warmed = warmed;
        this.touched = touched;
        turned = how == Look.HEAT && look != Look.HEAT;
        look = how;
        if (how == Look.MACHINE == (getCenter() == table)) {
            arrange(how != Look.MACHINE);
        }
        if (asked != null) {
            colour(asked);
            show(false);
        }
    }

    /** Asks for what it is looked at for; until that is there it is drawn plain. */
    private void colour(Case now) {
        picture.ask(look, now, new PartPicture.Told() {
            @Override
            public void warmed(Optional<HeatPictureFact.Picture> p) {
                if (turned) {
                    turned = false;
                    p.flatMap(HeatPictureFact.Picture::hottest).ifPresent(q -> table.lookAt(q.normal()));
                }
                warmed.accept(p);
                show(false);
            }

            @Override
            public void loaded(Optional<LoadPictureFact.Picture> p) {
                loaded.accept(p);
                show(false);
            }

            @Override
            public void streams() {
                show(false);
            }
        });
    }

    private void picked(Picked face) {
        Optional<HeatPictureFact.Picture> heat = picture.heat();
        if (heat.isPresent() && face.face() >= 0 && face.face() < heat.get().faces().size()) {
            touched.accept(heat.get().faces().get(face.face()), face.at());
        } else if (look == Look.CLOSE && face.face() >= 0) {
            pointed.accept(face.feature(), face.at());
        }
    }

    /** Puts the axes where something happens; those not named stay. */
    public void put(Map<String, Double> pose) {
        if (part != null) {
            strips.put(pose);
        }
    }

    /** What its material stands loaded, °C; 0 where that is not known. */
    public double limitC() {
        return picture.limitC();
    }

    @Override
    public void refresh() {
        Optional<Case> now = desk.looked();
        if (now.isEmpty() || now.get().equals(asked)) {
            return;
        }
        asked = now.get();
        colour(asked);
        desk.engine().find(asked, PlacedFact.PLACED, placed -> {
            if (now.get().equals(asked)) {
                placed.ifPresent(p -> take(now.get(), p));
            }
        });
    }

    private void take(Case c, PlacedFact.Placed placed) {
        part = placed.part();
        group = placed.group();
        Surroundings own = c.machine().surroundings();
        Bounds b = part.bounds();
        List<Neighbour> all = new ArrayList<>(own.neighbours());
        all.add(new Neighbour(PART, c.part().name(), group, Neighbour.Kind.SOLID, Neighbour.Form.MODEL, b.min(), b.size(), "z", 0, 0));
        placed.beside().forEach(o -> all.add(o.standing()));
        space = new Surroundings(own.axes(), own.groups(), all, own.sites(), List.of(), "", own.poses(), own.runs());
        shapes = new HashMap<>(placed.neighbours());
        placed.beside().forEach(o -> shapes.put(o.standing().id(), o.shape()));
        shapes.put(PART, part);
        Gaps gaps = new Gaps(space, shapes, PART);
        strips.take(space, gaps);
        poses.take(space);
        watch.take(gaps);
        show(false);
    }

    /** @param moving whether a hand moves the axes: drawn at once, and finely when it rests */
    private void show(boolean moving) {
        if (part == null) {
            return;
        }
        Map<String, Double> pose = look == Look.MACHINE ? strips.pose() : space.home();
        Vec3 shift = space.shift(group, pose);
        Bounds b = part.bounds();
        double room = look == Look.MACHINE ? AROUND_MM : CLOSE_MM;
        Bounds around = new Bounds(b.min().minus(new Vec3(room, room, room)), b.max().plus(new Vec3(room, room, room)));
        Bounds near = new Bounds(around.min().plus(shift), around.max().plus(shift));
        // The turntable stands in the part's own frame: whatever moves, the part's mesh stays as it is.
        List<Mesh> ghosts = new ArrayList<>();
        for (Neighbour n : space.neighbours()) {
            Shape s = shapes.get(n.id());
            Vec3 by = space.shift(n.group(), pose).minus(shift);
            if (s != part && s != null && (look == Look.MACHINE ? n.isMatter() : (look == Look.HEAT || look == Look.AIR) && n.kind() == Neighbour.Kind.HOT) && space.bounds(n, pose).overlaps(near, 0)) {
                ghosts.add(by.length() == 0 ? s.drawn() : s.drawn().placed(Placement.at(by.x(), by.y(), by.z())));
            }
        }
        if (picture.isSeenThrough()) {
            ghosts.add(part.drawn());
        }
        table.tint(picture.tint(desk.theme().palette()));
        if (moving) {
            table.showMoving(picture.mesh(part), picture.edges(part), ghosts, around);
        } else {
            table.showSoon(picture.mesh(part), picture.edges(part), ghosts, around);
        }
        if (look == Look.MACHINE) {
            views.show(space, shapes, Map.of(), pose, PART, near);
            strips.show();
            watch.moved(pose);
        }
    }

    @Override
    public void leave() {
        asked = null;
        picture.forget();
        poses.stop();
        watch.stop();
    }
}
