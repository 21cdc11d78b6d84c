package tinperch.desktop.sheet;

import java.util.Optional;
import tinperch.part.form.Dimension.View;
import tinperch.solid.Bounds;
import tinperch.solid.Vec3;

/**
 * Where the three views stand on the sheet, to one scale: from above at the top left, the front below it, the side beside that.
 *
 * @param pxPerMm scale
 * @param leftX where x is zero from above and in front, {@code sideX} where y is zero in the side view
 * @param topY where y is zero from above, {@code frontY} where z is zero in front and in the side view
 */
record SheetScale(double pxPerMm, double leftX, double topY, double sideX, double frontY) {
    static final double PAD = 66;
    static final double GAP = 62;
    private static final double TOP = 40;
    /** A click this near to a view's outline is still one on it. */
    private static final double NEAR_PX = 4;

    /** Fits a part into a sheet. */
    static SheetScale of(Bounds b, double w, double h) {
        Vec3 size = b.size();
        double k = Math.max(0.2, Math.min((w - 2 * PAD - GAP) / (size.x() + size.y()), (h - PAD - GAP - 34) / (size.y() + size.z())));
        return new SheetScale(k, PAD - b.min().x() * k, TOP + b.max().y() * k, PAD + size.x() * k + GAP - b.min().y() * k, TOP + size.y() * k + GAP + b.max().z() * k);
    }

    /** Where a point of the part is drawn. */
    double[] inView(View view, Vec3 p) {
        return switch (view) {
            case TOP -> new double[] {leftX + p.x() * pxPerMm, topY - p.y() * pxPerMm};
            case FRONT -> new double[] {leftX + p.x() * pxPerMm, frontY - p.z() * pxPerMm};
            case SIDE -> new double[] {sideX + p.y() * pxPerMm, frontY - p.z() * pxPerMm};
        };
    }

    /** The point of the part drawn at a place of a view; what the view does not show is as in {@code like}. */
    Vec3 point(View view, double px, double py, Vec3 like) {
        return switch (view) {
            case TOP -> new Vec3((px - leftX) / pxPerMm, (topY - py) / pxPerMm, like.z());
            case FRONT -> new Vec3((px - leftX) / pxPerMm, like.y(), (frontY - py) / pxPerMm);
            case SIDE -> new Vec3(like.x(), (px - sideX) / pxPerMm, (frontY - py) / pxPerMm);
        };
    }

    /** The view a place of the sheet belongs to. */
    Optional<View> viewAt(double px, double py, Bounds b) {
        for (View v : View.values()) {
            double[] lo = inView(v, b.min());
            double[] hi = inView(v, b.max());
            if (px > lo[0] - NEAR_PX && px < hi[0] + NEAR_PX && py < lo[1] + NEAR_PX && py > hi[1] - NEAR_PX) {
                return Optional.of(v);
            }
        }
        return Optional.empty();
    }

    /** The view that sees a face squarely. */
    static Optional<View> facing(Vec3 normal) {
        return Math.abs(normal.z()) > 0.999 ? Optional.of(View.TOP) : Math.abs(normal.y()) > 0.999 ? Optional.of(View.FRONT)
                : Math.abs(normal.x()) > 0.999 ? Optional.of(View.SIDE) : Optional.empty();
    }

    /** Directions of a view's x and y. */
    static Vec3[] axes(View view) {
        return switch (view) {
            case TOP -> new Vec3[] {Vec3.X, Vec3.Y};
            case FRONT -> new Vec3[] {Vec3.X, Vec3.Z};
            case SIDE -> new Vec3[] {Vec3.Y, Vec3.Z};
        };
    }
}
