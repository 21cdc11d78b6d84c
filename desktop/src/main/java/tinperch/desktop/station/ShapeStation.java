package tinperch.desktop.station;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.geometry.Insets;
import javafx.scene.layout.BorderPane;
import tinperch.check.Subject;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.machine.PartInPlace;
import tinperch.desktop.sheet.FittingSheet;
import tinperch.desktop.sheet.Picked;
import tinperch.fact.DrawingFact;
import tinperch.judge.Assessment;
import tinperch.part.PartFamily;
import tinperch.part.form.Cavity;
import tinperch.part.form.PartForm;
import tinperch.part.form.Piece;
import tinperch.part.form.Reach;
import tinperch.part.param.Param;
import tinperch.solid.Vec3;
import tinperch.upgrade.Families;
import tinperch.upgrade.PartDesign;

/** Cards for what the part holds and reaches, and the fitting sheet beside them; the part alone or in its place on the machine. */
final class ShapeStation extends BorderPane implements View {
    private final Desk desk;
    private final String upgradeId;
    private final PartBar bar;
    private String shownPart = "";
    private String shownFamily = "";
    private PartCards cards;
    private FeaturesPane features;
    private FittingSheet sheet;
    private PartInPlace place;
    private KindsPage kinds;
    private final WaysOutBar ways;
    private final ChangeListener<Assessment> onJudged = (o, a, b) -> veil();

    ShapeStation(Desk desk, String upgradeId) {
        this.desk = desk;
        this.upgradeId = upgradeId;
        getStyleClass().add("page");
        ways = new WaysOutBar(desk, this::veil, () -> cards.takeBack());
        desk.assessmentProperty().addListener(new WeakChangeListener<>(onJudged));
        bar = new PartBar(desk, upgradeId, this::chooseKind, this::showBody);
    }

    private void chooseKind() {
        leave();
        shownPart = "";
        kinds = new KindsPage(desk, upgradeId);
        setLeft(null);
        setTop(null);
        setCenter(kinds);
    }

    private void build(PartDesign part, Optional<PartFamily> family) {
        leave();
        setTop(bar);
        BorderPane.setMargin(bar, new Insets(0, 0, 8, 0));
        if (family.isEmpty()) {
            setLeft(null);
            setCenter(null);
            return;
        }
        features = new FeaturesPane(desk, upgradeId, part.id(), () -> {
            if (sheet != null) {
                sheet.placeHandle();
            }
        });
        ways.close();
        cards = new PartCards(desk, upgradeId, part.id(), family.get(), features, (param, text) -> ways.set(upgradeId, part.id(), param, text));
        setLeft(cards);
        sheet = new FittingSheet(desk, family.get().above(), (param, text) -> ways.set(upgradeId, part.id(), param, text),
                param -> param.label() + ": " + param.hint(), this::picked, features);
        showBody();
    }

    /** What stands there while no part can be made of the numbers is the last that could, and greyed. */
    private void veil() {
        Assessment a = desk.assessmentProperty().get();
        boolean none = a != null && a.findings().stream().anyMatch(f -> f.subject() == Subject.NO_PART);
        if (sheet != null) {
            sheet.setOpacity(ways.isOpen() || none ? 0.4 : 1);
        }
        setBottom(ways.isOpen() ? ways : null);
    }

    /** The part alone, pulled apart or together, or in its place. */
    private void showBody() {
        if (sheet == null) {
            return;
        }
        sheet.arrange(bar.pull(), bar.alone());
        if (bar.isInPlace()) {
            if (place == null) {
                place = new PartInPlace(desk);
            }
            setCenter(place);
            BorderPane.setMargin(place, new Insets(0, 0, 0, 12));
            place.refresh();
        } else {
            setCenter(sheet);
            BorderPane.setMargin(sheet, new Insets(0, 0, 0, 12));
        }
    }

    /** A click on a face of the turntable: its feature lights up, its first field gets the focus, features can be put on it. */
    private void picked(Picked face) {
        String feature = face.feature();
        desk.litProperty().set(feature);
        features.pick(face);
        DrawingFact.Drawing d = desk.drawingProperty().get();
        if (!feature.isEmpty() && d != null) {
            int of = feature.indexOf(DrawingFact.OF);
            paramOf(d.form(), of < 0 ? feature : feature.substring(of + DrawingFact.OF.length()), face.normal()).ifPresent(cards::focus);
        }
    }

    /** The number that moves a feature's faces which look this way, or the length of its screw. */
    private static Optional<Param<?>> paramOf(PartForm form, String feature, Vec3 normal) {
        Param<?> nearest = null;
        double best = 0;
        for (Piece piece : form.pieces()) {
            for (Reach r : piece.reaches()) {
                // A number that moves all faces comes after one that moves just these.
                double along = r.outward().length() == 0 ? 0.5 : Math.abs(piece.place().turned(r.outward()).dot(normal));
                if (feature.startsWith(r.feature()) && along > best) {
                    best = along;
                    nearest = r.lever().param();
                }
            }
        }
        return Optional.<Param<?>>ofNullable(nearest).or(() -> form.screws().stream().filter(s -> s.featureId().isEmpty() && feature.startsWith(s.row() + " "))
                .<Param<?>>map(s -> isInsert(form, feature) ? s.insertParam() : s.lengthParam()).findFirst());
    }

    private static boolean isInsert(PartForm form, String feature) {
        return form.pieces().stream().flatMap(p -> p.cavities().stream()).anyMatch(c -> c.feature().equals(feature) && c.purpose() == Cavity.Purpose.INSERT);
    }

    @Override
    public void refresh() {
        List<PartDesign> parts = desk.state().upgrade(upgradeId).orElseThrow().parts();
        Optional<PartDesign> now = desk.part();
        if (now.isEmpty()) {
            if (kinds == null || getCenter() != kinds) {
                chooseKind();
            }
            kinds.refresh();
            return;
        }
        if (kinds != null && getCenter() == kinds && parts.size() == kinds.partsBefore()) {
            kinds.refresh();
            return;
        }
        kinds = null;
        PartDesign part = now.get();
        if (!part.id().equals(shownPart) || !part.familyId().equals(shownFamily) || sheet == null) {
            shownPart = part.id();
            shownFamily = part.familyId();
            build(part, Families.byId(part.familyId()));
        }
        bar.refresh();
        ways.refresh();
        if (cards != null) {
            cards.refresh();
            features.refresh();
        }
        if (place != null && getCenter() == place) {
            place.refresh();
        }
    }

    /** What changed while another station was in view is drawn now. */
    @Override
    public void arrived() {
        if (sheet != null) {
            sheet.requestLayout();
        }
    }

    @Override
    public void leave() {
        if (sheet != null) {
            sheet.leave();
            sheet = null;
        }
        if (place != null) {
            place.leave();
            place = null;
        }
        if (kinds != null && getCenter() != kinds) {
            kinds = null;
        }
        features = null;
        cards = null;
    }
}
