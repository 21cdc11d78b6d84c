package tinperch.workshop.store;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import org.jdbi.v3.core.Jdbi;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tinperch.files.FileFault;
import tinperch.files.json.Json;
import tinperch.machine.Machine;
import tinperch.upgrade.Revision;
import tinperch.upgrade.Upgrade;

/**
 * Has the libraries a workshop is opened with come up while the file is still being looked at: to learn what a record is made of, and to set up
 * the asking of the database, takes them longer at first than all the reading.
 */
public final class EarlyStore {
    private static final Logger LOG = LoggerFactory.getLogger(EarlyStore.class);

    private static final String LEAST = "{\"id\":\"one\",\"machineId\":\"one\"}";

    private EarlyStore() {}

    /** Does so, on any thread; touches no file. What goes wrong here goes wrong again, and is told, where the file is opened. */
    public static void once() {
        try {
            records().forEach(Json::tree);
        } catch (FileFault e) {
            LOG.debug("Records of nothing", e);
        }
        try (Connection c = DriverManager.getConnection("jdbc:sqlite::memory:")) {
            Jdbi.create(c).useHandle(h -> {
                h.createQuery("SELECT 1").mapTo(Integer.class).one();
                h.createQuery("SELECT ''").map((r, x) -> r.getString(1)).list();
            });
        } catch (SQLException e) {
            LOG.debug("A database of nothing", e);
        }
    }

    /** One of each kind that has a row, with as little in it as can be. */
    static List<Object> records() throws FileFault {
        return List.of(Json.read(LEAST, Machine.class), Json.read(LEAST, Upgrade.class), Json.read(LEAST, Revision.class));
    }
}
