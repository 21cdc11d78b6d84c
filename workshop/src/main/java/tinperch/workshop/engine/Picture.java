package tinperch.workshop.engine;

import java.util.List;
import tinperch.fact.DrawingFact.Drawing;
import tinperch.judge.Assessment;
import tinperch.workshop.background.Latest;

/**
 * What is told of one case while it is drawn and judged side by side. Where both are quick they are told together, so that the window
 * is drawn once; the drawing waits a moment for that, and judgements come in batches. Safe on any thread.
 */
final class Picture {
    private static final long BETWEEN_NEWS_NS = 150_000_000;
    /** So long the drawing waits for the judgement. */
    private static final long DRAWING_WAITS_MS = 25;

    private final Latest.Ticket ticket;
    private final FactEngine.Listener listener;
    private Drawing drawing;
    private boolean drawingTold;
    private Assessment assessment;
    private long news = System.nanoTime();

    Picture(Latest.Ticket ticket, FactEngine.Listener listener) {
        this.ticket = ticket;
        this.listener = listener;
    }

    /** Takes the drawing, null for none. Comes back when it has been told, or will be with the judgement. */
    synchronized void drawn(Drawing next) {
        drawing = next;
        long until = System.nanoTime() + DRAWING_WAITS_MS * 1_000_000;
        try {
            for (long left = DRAWING_WAITS_MS; left > 0 && !isJudged(); left = (until - System.nanoTime()) / 1_000_000) {
                wait(left);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        if (!isJudged()) {
            tellDrawing();
        }
    }

    /** Takes all that is judged so far. */
    synchronized void judged(Assessment next) {
        assessment = next;
        if (isJudged()) {
            notifyAll();
        } else if (drawingTold && System.nanoTime() - news > BETWEEN_NEWS_NS) {
            news = System.nanoTime();
            Assessment told = bare(next);
            ticket.deliver(() -> listener.judged(told));
        }
    }

    /** Tells what has not been told yet; the finished judgement, with remedies as proposed. */
    synchronized Assessment all() {
        tellDrawing();
        Assessment told = bare(assessment);
        ticket.deliver(() -> listener.judged(told));
        return assessment;
    }

    private boolean isJudged() {
        return assessment != null && assessment.pending().isEmpty();
    }

    private void tellDrawing() {
        if (!drawingTold) {
            drawingTold = true;
            Drawing told = drawing;
            ticket.deliver(() -> listener.drawn(told));
        }
    }

    /** Remedies stand once they have been tried out. */
    private static Assessment bare(Assessment a) {
        return new Assessment(a.findings().stream().map(f -> f.with(List.of())).toList(), a.pending());
    }
}
