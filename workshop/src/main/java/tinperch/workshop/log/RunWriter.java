package tinperch.workshop.log;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import tinperch.files.log.LogRead;

/**
 * Writes the rows of one run. Without {@link #whole} nothing of a run that was never {@linkplain #flush flushed} is kept. Used by one thread.
 */
public final class RunWriter implements LogRead.Rows, AutoCloseable {
    /** Rows of a chunk. */
    static final int CHUNK = 8192;
    /** Rows, and stretches, of a stretch of the next level. */
    static final int OVER = 16;

    private final Connection connection;
    private final String id;
    private final int channels;
    private final Bands rows;
    private int chunks;
    private int pieces;
    private int inPieces;
    private long count;

    RunWriter(Connection connection, String id, int channels, int chunks) throws SQLException {
        this.connection = connection;
        this.id = id;
        this.channels = channels;
        this.chunks = chunks;
        rows = new Bands(channels);
        connection.setAutoCommit(false);
    }

    static RunWriter begun(Connection connection, String id, int channels) throws SQLException {
        RunWriter w = new RunWriter(connection, id, channels, 0);
        try (PreparedStatement s = connection.prepareStatement("INSERT INTO run (id, channels, whole) VALUES (?, ?, 0)")) {
            s.setString(1, id);
            s.setInt(2, channels);
            s.executeUpdate();
        }
        return w;
    }

    /** Rows that were in pieces when a recording was cut off. */
    void takeUp(Bands tail) throws SQLException {
        for (int i = 0; i < tail.size(); i++) {
            rows.add(tail, i);
        }
        inPieces = rows.size();
        pieces = 1;
    }

    /** @throws LogFault when the disk refuses; what was flushed before is kept */
    @Override
    public void row(double seconds, float[] values) {
        rows.row(seconds, values);
        count++;
        if (rows.size() == CHUNK) {
            try {
                chunk();
            } catch (SQLException e) {
                throw LogStore.refused(e);
            }
        }
    }

    /** How many rows were taken. */
    public long count() {
        return count;
    }

    private void chunk() throws SQLException {
        if (rows.size() == 0) {
            return;
        }
        Bands near = rows.over(OVER);
        Bands middle = near.over(OVER);
        try (PreparedStatement s = connection.prepareStatement("INSERT INTO chunk (run, no, n, first, last, far, middle, near, body) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)")) {
            s.setString(1, id);
            s.setInt(2, chunks++);
            s.setInt(3, rows.size());
            s.setDouble(4, rows.firstS(0));
            s.setDouble(5, rows.lastS(rows.size() - 1));
            s.setBytes(6, middle.over(OVER).bytes());
            s.setBytes(7, middle.bytes());
            s.setBytes(8, near.bytes());
            s.setBytes(9, Packed.bytes(rows, channels));
            s.executeUpdate();
        }
        if (pieces > 0) {
            try (PreparedStatement s = connection.prepareStatement("DELETE FROM piece WHERE run = ?")) {
                s.setString(1, id);
                s.executeUpdate();
            }
            pieces = 0;
        }
        inPieces = 0;
        rows.clear();
    }

    /** Everything so far is on disk and seen by others; recordings do so every second. */
    public void flush() {
        try {
            if (rows.size() > inPieces) {
                Bands piece = new Bands(channels);
                for (int i = inPieces; i < rows.size(); i++) {
                    piece.add(rows, i);
                }
                try (PreparedStatement s = connection.prepareStatement("INSERT INTO piece (run, no, n, body) VALUES (?, ?, ?, ?)")) {
                    s.setString(1, id);
                    s.setInt(2, pieces++);
                    s.setInt(3, piece.size());
                    s.setBytes(4, Packed.bytes(piece, channels));
                    s.executeUpdate();
                }
                inPieces = rows.size();
            }
            connection.commit();
        } catch (SQLException e) {
            throw LogStore.refused(e);
        }
    }

    /** There is no more: the run is whole. */
    public void whole() {
        try {
            chunk();
            try (PreparedStatement s = connection.prepareStatement("UPDATE run SET whole = 1 WHERE id = ?")) {
                s.setString(1, id);
                s.executeUpdate();
            }
            connection.commit();
        } catch (SQLException e) {
            throw LogStore.refused(e);
        }
    }

    /** What was neither flushed nor made whole is forgotten. */
    @Override
    public void close() {
        try (Connection c = connection; Statement s = c.createStatement()) {
            c.rollback();
        } catch (SQLException e) {
            throw LogStore.refused(e);
        }
    }
}
