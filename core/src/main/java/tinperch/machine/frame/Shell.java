package tinperch.machine.frame;

import tinperch.solid.Vec3;

/** Corner posts, walls, lid and door of a closed machine. */
final class Shell {
    private static final double OUT_MM = 85;
    private static final double POST_MM = 20;
    private static final double WALL_MM = 3;

    private Shell() {}

    /** Around travels of so much, from a height to another. */
    static void around(FrameKit k, double x, double y, double lowMm, double highMm) {
        double l = -OUT_MM;
        double r = x + OUT_MM;
        double f = -OUT_MM;
        double b = y + OUT_MM + 20;
        double h = highMm - lowMm;
        Vec3 post = new Vec3(POST_MM, POST_MM, h);
        k.profile("front left post", "", new Vec3(l - POST_MM, f - POST_MM, lowMm), post, "z").profile("front right post", "", new Vec3(r, f - POST_MM, lowMm), post, "z")
                .profile("rear left post", "", new Vec3(l - POST_MM, b, lowMm), post, "z").profile("rear right post", "", new Vec3(r, b, lowMm), post, "z")
                .box("left wall", "", new Vec3(l - POST_MM - WALL_MM, f, lowMm), new Vec3(WALL_MM, b - f, h))
                .box("right wall", "", new Vec3(r + POST_MM, f, lowMm), new Vec3(WALL_MM, b - f, h))
                .box("rear wall", "", new Vec3(l, b + POST_MM, lowMm), new Vec3(r - l, WALL_MM, h))
                .box("lid", "", new Vec3(l - POST_MM, f - POST_MM, highMm), new Vec3(r - l + 2 * POST_MM, b - f + 2 * POST_MM, WALL_MM))
                .access("door swing", new Vec3(l, f - POST_MM - (r - l) / 2, lowMm), new Vec3(r - l, (r - l) / 2, h));
    }
}
