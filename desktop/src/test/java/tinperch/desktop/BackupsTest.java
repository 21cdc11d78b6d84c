package tinperch.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import org.testng.annotations.Test;
import tinperch.desktop.desk.Desk;
import tinperch.workshop.store.StoreFault;
import tinperch.workshop.store.WorkshopStore;

/** Backups in the window: what differs from now, the way back, and the way back from that. */
public class BackupsTest extends WindowTest {
    @Test
    public void oneGoesBackToABackupAndUndoGoesForwardAgain() throws Exception {
        click("machine-avocet");
        onFx(() -> {
            desk.workshop().edit("rename", s -> s.with(s.machine("avocet").orElseThrow().withName("Avocet the second")));
            desk.placeProperty().set(new Desk.Place.AtBackups());
            return null;
        });
        waitFor(() -> text("backup-differs-0").contains("Avocet"), "it is not read");
        assertEquals(text("backup-differs-0"), "The machine “Avocet” is as it was then.");
        press("backup-0");
        assertEquals(desk.state().machine("avocet").orElseThrow().name(), "Avocet");
        assertEquals(text("backup-differs-0"), "The same as now.");
        assertTrue(onFx(() -> find("backup-0").isDisabled()));
        click("undo");
        assertEquals(desk.state().machine("avocet").orElseThrow().name(), "Avocet the second");
        click("redo");
        close();
        open();
        assertEquals(desk.state().machine("avocet").orElseThrow().name(), "Avocet");
    }

    @Test
    public void whatCannotBeOpenedLetsGoOfTheFileAndSaysWhy() throws Exception {
        close();
        Files.write(folder.resolve("workshop.db"), new byte[0]);
        StoreFault why = org.testng.Assert.expectThrows(StoreFault.class, () -> tinperch.desktop.window.TinPerchApp.openWorkshop(folder.resolve("workshop.db"), false));
        assertEquals(why.kind(), StoreFault.Kind.EMPTY);
        assertTrue(why.getMessage().contains("newest backup"), why.getMessage());
        assertFalse(why.getMessage().contains("null"));
        WorkshopStore.begin(folder.resolve("workshop.db")).close();
        open();
        QuickRobot.settle();
        assertTrue(desk.workshop().notice().isEmpty());
    }
}
