package tinperch.desktop.station;

import javafx.geometry.VPos;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.VBox;
import tinperch.desktop.desk.Desk;
import tinperch.desktop.desk.View;
import tinperch.desktop.look.Scroller;
import tinperch.fact.DrawingFact.Drawing;

/** Where and in what it is printed, keeping the revision, writing the files. */
final class PrintStation extends Scroller implements View {
    private final HostPanel hosts;
    private final KeepPanel keep;
    private final WritePanel write;
    private final BedPanel bed;
    private final Desk desk;
    private final javafx.beans.value.ChangeListener<Drawing> onDrawing;

    PrintStation(Desk desk, String upgradeId) {
        this.desk = desk;
        hosts = new HostPanel(desk, upgradeId);
        keep = new KeepPanel(desk, upgradeId);
        write = new WritePanel(desk, upgradeId);
        bed = new BedPanel(desk, upgradeId);
        onDrawing = (o, a, b) -> bed.refresh();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("page");
        grid.setHgap(14);
        grid.setVgap(12);
        ColumnConstraints half = new ColumnConstraints();
        half.setPercentWidth(50);
        grid.getColumnConstraints().addAll(half, half);
        grid.getRowConstraints().addAll(new RowConstraints(), new RowConstraints());
        grid.addRow(0, hosts, new VBox(12, keep, write));
        grid.add(bed, 0, 1, 2, 1);
        grid.getChildren().forEach(n -> GridPane.setValignment(n, VPos.TOP));
        setContent(grid);
        desk.drawingProperty().addListener(onDrawing);
    }

    @Override
    public void refresh() {
        hosts.refresh();
        keep.refresh();
        write.refresh();
        bed.refresh();
    }

    @Override
    public void judged() {
        refresh();
    }

    @Override
    public void leave() {
        desk.drawingProperty().removeListener(onDrawing);
    }
}
