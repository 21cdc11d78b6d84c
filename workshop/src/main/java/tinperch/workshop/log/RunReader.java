package tinperch.workshop.log;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import tinperch.solid.Stop;
import tinperch.trial.Kept;
import tinperch.trial.Series;

/** Samples of one run, as they are on disk: stretches to draw and series to reckon with. Safe on any thread. */
public final class RunReader {
    /** Stretches drawn for each pixel at most, about. */
    private static final int PER_PIXEL = 2;
    private static final int KEPT = 64;
    private static final int MOST_SAMPLES = 2_000_000;

    private final LogStore store;
    private final Connection connection;
    private final String id;
    private final int channels;
    private volatile There there;
    private final Map<Integer, Bands> bodies = lately();
    private final Map<Integer, Bands> nears = lately();

    /** What is known of a chunk without looking into it. */
    private record Chunk(int n, double first, double last, Bands far, Bands middle) {}

    /** What there was when it was looked for the last time. */
    private record There(List<Chunk> chunks, Bands tail) {}

    private static Map<Integer, Bands> lately() {
        return new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<Integer, Bands> eldest) {
                return size() > KEPT;
            }
        };
    }

    RunReader(LogStore store, Connection connection, String id, int channels) throws SQLException {
        this.store = store;
        this.connection = connection;
        this.id = id;
        this.channels = channels;
        there = new There(List.of(), new Bands(channels));
        refresh();
    }

    /** Looks for rows that were recorded meanwhile. */
    public void refresh() {
        synchronized (connection) {
            try (PreparedStatement s = connection.prepareStatement("SELECT n, first, last, far, middle FROM chunk WHERE run = ? AND no >= ? ORDER BY no")) {
                s.setString(1, id);
                List<Chunk> chunks = new ArrayList<>(there.chunks);
                s.setInt(2, chunks.size());
                ResultSet r = s.executeQuery();
                while (r.next()) {
                    chunks.add(new Chunk(r.getInt(1), r.getDouble(2), r.getDouble(3), Bands.of(r.getBytes(4), channels), Bands.of(r.getBytes(5), channels)));
                }
                there = new There(List.copyOf(chunks), store.tail(id).rows());
            } catch (SQLException e) {
                throw new LogFault("The samples of this run cannot be read (" + e.getMessage() + ").", e);
            }
        }
    }

    /** How many values a row has. */
    public int channels() {
        return channels;
    }

    /** Rows of all of it. */
    public long rows() {
        There now = there;
        return now.chunks.stream().mapToLong(Chunk::n).sum() + now.tail.size();
    }

    /** First time, s after the run's start; 0 where it is empty. */
    public double firstS() {
        There now = there;
        return now.chunks.isEmpty() ? now.tail.size() == 0 ? 0 : now.tail.firstS(0) : now.chunks.get(0).first;
    }

    /** Last time, s after the run's start; 0 where it is empty. */
    public double lastS() {
        There now = there;
        return now.tail.size() > 0 ? now.tail.lastS(now.tail.size() - 1) : now.chunks.isEmpty() ? 0 : now.chunks.get(now.chunks.size() - 1).last;
    }

    /** What is to be drawn of a stretch of time so many pixels wide: rows, or lowest and highest over as many as share a pixel; one before and one after too. */
    public Bands bands(double fromS, double toS, int pixels) {
        There now = there;
        List<Chunk> chunks = now.chunks;
        Bands tail = now.tail;
        double seen = 0;
        for (Chunk c : chunks) {
            double overlap = Math.min(toS, c.last) - Math.max(fromS, c.first);
            seen += overlap < 0 ? 0 : c.n * (c.last > c.first ? overlap / (c.last - c.first) : 1);
        }
        double most = (double) PER_PIXEL * Math.max(1, pixels);
        int level = seen <= most ? 0 : seen / RunWriter.OVER <= most ? 1 : seen / RunWriter.OVER / RunWriter.OVER <= most ? 2 : 3;
        Bands all = new Bands(channels);
        for (int k = 0; k < chunks.size(); k++) {
            Chunk c = chunks.get(k);
            boolean before = k + 1 < chunks.size() && chunks.get(k + 1).first > fromS && c.last <= fromS;
            boolean after = k > 0 && chunks.get(k - 1).last < toS && c.first >= toS;
            if (c.last >= fromS && c.first <= toS || before || after) {
                take(level == 0 ? body(k, c.n) : level == 1 ? near(k, c.n) : level == 2 ? c.middle : c.far, fromS, toS, all);
            }
        }
        Bands end = level == 0 ? tail : level == 1 ? tail.over(RunWriter.OVER) : tail.over(RunWriter.OVER * RunWriter.OVER);
        take(end, fromS, toS, all);
        return all;
    }

    /** Stretches that touch a time, and the ones before and after. */
    private static void take(Bands from, double fromS, double toS, Bands all) {
        int n = from.size();
        int a = 0;
        int b = n;
        while (a < b) {
            int m = (a + b) >>> 1;
            if (from.lastS(m) < fromS) {
                a = m + 1;
            } else {
                b = m;
            }
        }
        for (int i = Math.max(0, a - 1); i < n; i++) {
            all.add(from, i);
            if (from.firstS(i) > toS) {
                break;
            }
        }
    }

    private Bands body(int k, int n) {
        return bodies(k, n, bodies, "body");
    }

    private Bands near(int k, int n) {
        return bodies(k, n, nears, "near");
    }

    private Bands bodies(int k, int n, Map<Integer, Bands> kept, String column) {
        synchronized (connection) {
            Bands known = kept.get(k);
            if (known != null) {
                return known;
            }
            try (PreparedStatement s = connection.prepareStatement("SELECT " + column + " FROM chunk WHERE run = ? AND no = ?")) {
                s.setString(1, id);
                s.setInt(2, k);
                ResultSet r = s.executeQuery();
                byte[] bytes = r.next() ? r.getBytes(1) : null;
                Bands b = column.equals("body") ? Packed.rows(bytes == null ? new byte[0] : bytes, n, channels) : Bands.of(bytes, channels);
                kept.put(k, b);
                return b;
            } catch (SQLException e) {
                throw new LogFault("The samples of this run cannot be read (" + e.getMessage() + ").", e);
            }
        }
    }

    /** What is to be kept of each channel. */
    public List<Optional<Kept>> kept() {
        List<Optional<Kept>> all = new ArrayList<>();
        for (int i = 0; i < channels; i++) {
            all.add(Kept.of(series(i, 0, Double.MAX_VALUE)));
        }
        return all;
    }

    /**
     * The samples of a channel in a stretch of time. Of more than two million, means over equal numbers of them, and the highest itself, so that a log of any length
     * is reckoned with in little memory.
     */
    public Series series(int channel, double fromS, double toS) {
        return series(channel, fromS, toS, Stop.NEVER);
    }

    /**
     * The same, for as long as somebody waits for it.
     *
     * @throws Stop.Stopped when nobody does any more
     */
    public Series series(int channel, double fromS, double toS, Stop stop) {
        There now = there;
        long rows = now.tail.size();
        for (Chunk c : now.chunks) {
            rows += c.last >= fromS && c.first <= toS ? c.n : 0;
        }
        Means all = new Means(rows, MOST_SAMPLES);
        for (int k = 0; k <= now.chunks.size(); k++) {
            boolean end = k == now.chunks.size();
            if (!end && !(now.chunks.get(k).last >= fromS && now.chunks.get(k).first <= toS)) {
                continue;
            }
            stop.check();
            Bands rowsOf = end ? now.tail : body(k, now.chunks.get(k).n);
            for (int i = 0; i < rowsOf.size(); i++) {
                if (rowsOf.firstS(i) >= fromS && rowsOf.firstS(i) <= toS && !Float.isNaN(rowsOf.low(i, channel))) {
                    all.add(rowsOf.firstS(i), rowsOf.low(i, channel));
                }
            }
        }
        return all.series();
    }
}
