package tinperch.check;

import java.util.Optional;
import tinperch.fact.HeatFact.Warm;
import tinperch.heat.HeatMap;
import tinperch.machine.space.Neighbour;
import tinperch.machine.space.Site;
import tinperch.solid.Vec3;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.RiseShare;
import tinperch.trial.Run;
import tinperch.trial.SpotAt;
import tinperch.upgrade.Case;

/**
 * What one logged spot says of an estimate: for the same gap, the same cover of what is hot and still air the estimate follows it, for others it says nothing (tried: a spot carried to a gap 2 mm
 * larger was off by 18 to 20 K, as without it).
 *
 * @param spotC what it stood at, {@code estimatedC} what was estimated for that block and room
 * @param factor of logged rise to estimated rise
 */
record LoggedHeat(Channel channel, Run run, double spotC, double estimatedC, double factor, HeatMap.Patch patch) {
    /** Gaps are the same within this, mm. */
    private static final double SAME_MM = 0.3;
    /** The face the spot is on follows it this far around, mm; within {@link #NEAR_K}, the rest within {@link #FAR_K}. */
    private static final double NEAR_MM = 25;
    private static final double NEAR_K = 4;
    private static final double FAR_K = 14;
    private static final double USUAL_ROOM_C = 25;
    /** What is hotter than any bed is a block. */
    static final double HOTTEST_BED_C = 150;

    /** The newest that holds for a piece as it is now; empty when there is none. What was simulated says nothing of the real one. */
    static Optional<LoggedHeat> of(Warm w, Case c, double roomC) {
        String me = c.upgrade().id() + "/" + c.part().id();
        Optional<LoggedHeat> best = Optional.empty();
        for (Run r : c.machine().runs()) {
            for (Channel k : r.channels()) {
                if (!r.simulated() && k.kind() == Channel.Kind.SPOT && k.of().equals(me) && (best.isEmpty() || !r.start().isBefore(best.get().run.start()))) {
                    Optional<LoggedHeat> next = k.spot().filter(s -> s.pieceId().equals(w.piece().id())).flatMap(s -> of(w, k, s, r, c, roomC));
                    best = next.isPresent() ? next : best;
                }
            }
        }
        return best;
    }

    private static Optional<LoggedHeat> of(Warm w, Channel k, SpotAt s, Run r, Case c, double roomC) {
        Vec3 at = w.place().point(s.at().x(), s.at().y(), s.at().z());
        HeatMap.Patch p = w.map().at(at);
        Optional<Neighbour> hot = c.machine().surroundings().neighbours().stream().filter(n -> n.id().equals(s.hotId())).findFirst();
        Optional<Double> block = stood(r, hot.map(Neighbour::tempC).orElse(0.0) > HOTTEST_BED_C ? Channel.Kind.HOT_END : Channel.Kind.BED);
        boolean same = hot.isPresent() && hot.get().sock() == s.sock() && s.blown() == c.site().map(Site::blown).orElse(false) && p.nearest().equals(s.hotId()) && Math.abs(p.gapMm() - s.gapMm()) <= SAME_MM;
        if (!same || block.isEmpty() || k.kept().filter(Kept::stood).isEmpty()) {
            return Optional.empty();
        }
        double room = stood(r, Channel.Kind.CHAMBER).or(() -> stood(r, Channel.Kind.ROOM)).orElse(USUAL_ROOM_C);
        double spot = k.kept().get().stoodC();
        return RiseShare.of(p.tempC(), hot.get().tempC(), roomC).map(share -> share.spotC(block.get(), room)).filter(e -> e - room > 1)
                .map(e -> new LoggedHeat(k, r, spot, e, (spot - room) / (e - room), p));
    }

    private static Optional<Double> stood(Run r, Channel.Kind kind) {
        return r.first(kind).flatMap(Channel::kept).filter(Kept::stood).map(Kept::stoodC);
    }

    /** What the estimate of a patch becomes, °C. */
    double corrected(HeatMap.Patch p, double roomC) {
        return roomC + factor * (p.tempC() - roomC);
    }

    /** Half the band left of it, K. */
    double bandK(HeatMap.Patch p) {
        return p.normal().dot(patch.normal()) > 0.7 && p.middle().minus(patch.middle()).length() <= NEAR_MM ? NEAR_K : FAR_K;
    }
}
