package tinperch.desktop.machine;

import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.look.HeatColours;
import tinperch.desktop.look.Palette;
import tinperch.fact.AirPictureFact;
import tinperch.fact.Fact;
import tinperch.fact.HeatPictureFact;
import tinperch.fact.LoadPictureFact;
import tinperch.machine.space.Shape;
import tinperch.material.Material;
import tinperch.solid.Mesh;
import tinperch.solid.view.FeatureEdges;
import tinperch.solid.view.Scene;
import tinperch.upgrade.Case;

/** What a part is looked at for, and the picture that shows it: its warmth, its loads, the air it leads. Until that has been reckoned it is drawn plain. */
final class PartPicture {
    private final Desk desk;
    private Case of;
    private Object token;
    private Optional<HeatPictureFact.Picture> heat = Optional.empty();
    private Optional<LoadPictureFact.Picture> load = Optional.empty();
    private Optional<AirPictureFact.Picture> air = Optional.empty();

    /** Told each picture when it is there, or that there is none. */
    interface Told {
        void warmed(Optional<HeatPictureFact.Picture> picture);

        void loaded(Optional<LoadPictureFact.Picture> picture);

        void streams();
    }

    PartPicture(Desk desk) {
        this.desk = desk;
    }

    /** Asks for what is wanted to see of a case; what was known of another is forgotten. */
    void ask(PartInPlace.Look how, Case now, Told told) {
        forget();
        of = now;
        switch (how) {
            case CLOSE -> find(LoadPictureFact.PICTURE, p -> told.loaded(load = p));
            case HEAT -> find(HeatPictureFact.PICTURE, p -> told.warmed(heat = p));
            case AIR -> find(AirPictureFact.PICTURE, p -> {
                air = p;
                told.streams();
            });
            case MACHINE -> { }
        }
    }

    private <P> void find(Fact<Optional<P>> fact, java.util.function.Consumer<Optional<P>> done) {
        // Asked for the same case in another way, an earlier answer must not come between.
        Object asked = token = new Object();
        desk.engine().find(of, fact, p -> {
            if (asked == token) {
                done.accept(p);
            }
        });
    }

    /** What is still under way is not wanted any more. */
    void forget() {
        token = null;
        heat = Optional.empty();
        load = Optional.empty();
        air = Optional.empty();
    }

    Optional<HeatPictureFact.Picture> heat() {
        return heat;
    }

    /** What its material stands loaded, °C; 0 where that is not known. */
    double limitC() {
        return of == null ? 0 : Material.find(of.part().material()).map(Material::useLimitC).orElse(0.0);
    }

    /** Whether the part itself is only seen through. */
    boolean isSeenThrough() {
        return air.isPresent();
    }

    Mesh mesh(Shape part) {
        return air.map(AirPictureFact.Picture::arrows).or(() -> heat.map(HeatPictureFact.Picture::mesh)).or(() -> load.map(LoadPictureFact.Picture::mesh)).orElseGet(part::drawn);
    }

    List<FeatureEdges.Edge> edges(Shape part) {
        return air.isPresent() || heat.isPresent() ? List.of() : part.edges();
    }

    IntUnaryOperator tint(Palette p) {
        int stream = Palette.rgb(p.accent());
        return air.isPresent() ? face -> stream : heat.map(h -> HeatColours.of(h, limitC(), p)).or(() -> load.map(l -> HeatColours.of(l, p))).orElse(Scene.PLAIN);
    }
}
