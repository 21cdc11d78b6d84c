package tinperch.workshop.torture;

import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import tinperch.files.FileFault;
import tinperch.files.model.Stopped;
import tinperch.workshop.store.StoreFault;

/** Counts what came of trying something again and again. */
final class Tally {

    private final String name;
    private final long slowNs;
    private int tried;
    private int right;
    private int refused;
    private long slowestNs;
    private final List<String> failed = new ArrayList<>();

    /** Something tried; answers null when it came out right, else what is wrong. */
    interface Try {
        String at() throws Exception;
    }

    /** @param slowS whatever takes longer counts as failed, s */
    Tally(String name, int slowS) {
        this.name = name;
        slowNs = slowS * 1_000_000_000L;
    }

    void give(String what, Try work) {
        tried++;
        long t = System.nanoTime();
        try {
            String wrong = work.at();
            if (wrong == null) {
                right++;
            } else {
                failed.add(what + ": " + wrong);
            }
        } catch (FileFault | StoreFault | Stopped e) {
            String m = String.valueOf(e.getMessage());
            if (m.length() > 10 && m.endsWith(".") && !m.contains("Exception") && !m.contains("null")) {
                refused++;
            } else {
                failed.add(what + ": refused without a sentence: " + m);
            }
        } catch (Throwable e) {
            failed.add(what + ": " + e);
        }
        long took = System.nanoTime() - t;
        slowestNs = Math.max(slowestNs, took);
        if (took > slowNs) {
            failed.add(what + ": took " + took / 1_000_000_000 + " s");
        }
    }

    int failures() {
        return failed.size();
    }

    List<String> failed() {
        return failed;
    }

    void print(PrintStream out) {
        out.printf("%-28s tried %7d   right %7d   refused in words %7d   failed %4d   slowest %.2f s%n", name, tried, right, refused, failed.size(), slowestNs / 1e9);
        failed.stream().limit(5).forEach(f -> out.println("    " + f));
    }
}
