package tinperch.trial;

import java.util.Optional;

/**
 * A spot's share of the rise of what heats it, (T_spot − T_room) / (T_block − T_room): as long as air and gap stay the same it predicts the spot for
 * other temperatures of block and room (heat flows in proportion to differences; radiation makes it a little larger when hotter).
 */
public record RiseShare(double share) {
    /** Less than this between block and room, and noise decides, K. */
    private static final double LEAST_K = 10;

    /** Empty when block and room are too near each other. */
    public static Optional<RiseShare> of(double spotC, double blockC, double roomC) {
        return Math.abs(blockC - roomC) < LEAST_K ? Optional.empty() : Optional.of(new RiseShare((spotC - roomC) / (blockC - roomC)));
    }

    /** The spot for another block and room, °C. */
    public double spotC(double blockC, double roomC) {
        return roomC + share * (blockC - roomC);
    }
}
