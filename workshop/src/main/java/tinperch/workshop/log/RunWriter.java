package tinperch.workshop.log;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.List;
import tinperch.files.log.LogRead;

/**
 * Writes the rows of one run. Without {@link #whole} nothing of a run that was never {@linkplain #flush flushed} is kept; one that was is a recording, whose
 * rows are written at flushes only. Used by one thread.
 */
public final class RunWriter implements LogRead.Rows, AutoCloseable {
    /** Rows of a chunk. */
    static final int CHUNK = 8192;
    /** Rows, and stretches, of a stretch of the next level. */
    static final int OVER = 16;
    private static final int CHUNKS_AT_ONCE = 32;

    private final Connection connection;
    private final String id;
    private final int channels;
    private final Bands rows;
    private int chunks;
    private int pieces;
    private int inPieces;
    private boolean recording;
    private boolean kept;
    private boolean open;
    private long count;

    RunWriter(Connection connection, String id, int channels, int chunks) throws SQLException {
        this.connection = connection;
        this.id = id;
        this.channels = channels;
        this.chunks = chunks;
        rows = new Bands(channels);
    }

    static RunWriter begun(Connection connection, String id, int channels) throws SQLException {
        RunWriter w = new RunWriter(connection, id, channels, 0);
        w.begin();
        try (PreparedStatement s = connection.prepareStatement("INSERT INTO run (id, channels, whole) VALUES (?, ?, 0)")) {
            s.setString(1, id);
            s.setInt(2, channels);
            s.executeUpdate();
        }
        w.commit();
        return w;
    }

    /** Rows that were in pieces when a recording was cut off. */
    void takeUp(Bands tail) {
        rows.addAll(tail);
        inPieces = rows.size();
        pieces = 1;
        recording = true;
    }

    /** @throws LogFault when the disk refuses; what was flushed before is kept. A recording is refused nothing here: it is told at the next flush */
    @Override
    public void row(double seconds, float[] values) {
        rows.row(seconds, values);
        count++;
        if (!recording && rows.size() == CHUNK) {
            try {
                begin();
                chunk(chunks++, 0, CHUNK);
                rows.clear();
                if (chunks % CHUNKS_AT_ONCE == 0) {
                    // So that a recording that goes on beside it gets its turn.
                    commit();
                }
            } catch (SQLException e) {
                throw LogStore.refused(e);
            }
        }
    }

    /** How many rows were taken. */
    public long count() {
        return count;
    }

    /** Writes some of the rows as a chunk. */
    private void chunk(int no, int from, int to) throws SQLException {
        Bands body = rows.part(from, to);
        Bands near = body.over(OVER);
        Bands middle = near.over(OVER);
        try (PreparedStatement s = connection.prepareStatement("INSERT INTO chunk (run, no, n, first, last, far, middle, near, body) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")) {
            s.setString(1, id);
            s.setInt(2, no);
            s.setInt(3, to - from);
            s.setDouble(4, body.firstS(0));
            s.setDouble(5, body.lastS(to - from - 1));
            s.setBytes(6, middle.over(OVER).bytes());
            s.setBytes(7, middle.bytes());
            s.setBytes(8, near.bytes());
            s.setBytes(9, Packed.bytes(body, channels));
            s.executeUpdate();
        }
    }

    private void piece(int no, int from, int to) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement("INSERT INTO piece (run, no, n, body) VALUES (?, ?, ?, ?)")) {
            s.setString(1, id);
            s.setInt(2, no);
            s.setInt(3, to - from);
            s.setBytes(4, Packed.bytes(rows.part(from, to), channels));
            s.executeUpdate();
        }
    }

    private void update(String sql) throws SQLException {
        try (PreparedStatement s = connection.prepareStatement(sql)) {
            s.setString(1, id);
            s.executeUpdate();
        }
    }

    /**
     * Everything so far is on disk and seen by others; recordings do so every second. When the disk refuses, all that was flushed before is kept, and the
     * rows since then wait for the next time.
     */
    public void flush() {
        recording = true;
        try {
            begin();
            int whole = rows.size() / CHUNK;
            for (int k = 0; k < whole; k++) {
                chunk(chunks + k, k * CHUNK, (k + 1) * CHUNK);
            }
            if (whole > 0 && pieces > 0) {
                update("DELETE FROM piece WHERE run = ?");
            }
            int from = whole > 0 ? whole * CHUNK : inPieces;
            boolean more = rows.size() > from;
            if (more) {
                piece(whole > 0 ? 0 : pieces, from, rows.size());
            }
            commit();
            pieces = (whole > 0 ? 0 : pieces) + (more ? 1 : 0);
            chunks += whole;
            rows.drop(whole * CHUNK);
            inPieces = rows.size();
        } catch (SQLException e) {
            rollback();
            throw LogStore.refused(e);
        }
    }

    /** Lets the file grow so far; tests make room so. */
    void mostPages(int pages) {
        try (java.sql.Statement s = connection.createStatement()) {
            s.execute("PRAGMA max_page_count = " + pages);
        } catch (SQLException e) {
            throw LogStore.refused(e);
        }
    }

    /** Transactions are said by ourselves: where the disk is full the database takes one back without the driver knowing. Waits for other writers. */
    private void begin() throws SQLException {
        if (!open) {
            say("BEGIN IMMEDIATE");
            open = true;
        }
    }

    private void commit() throws SQLException {
        say("COMMIT");
        open = false;
    }

    private void rollback() {
        try {
            if (open) {
                say("ROLLBACK");
            }
        } catch (SQLException e) {
            // It was taken back already.
        }
        open = false;
    }

    private void say(String sql) throws SQLException {
        try (java.sql.Statement s = connection.createStatement()) {
            s.execute(sql);
        }
    }

    /** There is no more: the run is whole. */
    public void whole() {
        if (recording) {
            flush();
        }
        try {
            begin();
            if (rows.size() > 0) {
                chunk(chunks, 0, rows.size());
                update("DELETE FROM piece WHERE run = ?");
            }
            update("UPDATE run SET whole = 1 WHERE id = ?");
            commit();
            rows.clear();
            kept = true;
        } catch (SQLException e) {
            rollback();
            throw LogStore.refused(e);
        }
    }

    /** What was neither recorded nor made whole is forgotten. */
    @Override
    public void close() {
        try (Connection c = connection) {
            rollback();
            if (!recording && !kept) {
                begin();
                for (String table : List.of("chunk", "piece")) {
                    update("DELETE FROM " + table + " WHERE run = ?");
                }
                update("DELETE FROM run WHERE id = ?");
                commit();
            }
        } catch (SQLException e) {
            throw LogStore.refused(e);
        }
    }
}
