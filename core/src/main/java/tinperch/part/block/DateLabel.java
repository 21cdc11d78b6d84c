package tinperch.part.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tinperch.part.PartInputs;
import tinperch.part.param.Card;
import tinperch.part.param.NumberParam;
import tinperch.part.param.Param;
import tinperch.part.param.PartProblem;
import tinperch.part.param.SwitchParam;
import tinperch.part.param.Values;
import tinperch.quantity.Quantity;
import tinperch.solid.Leaf;
import tinperch.solid.Lettering;
import tinperch.solid.Placement;
import tinperch.solid.Profile;
import tinperch.solid.Solid;

/** The month something is due, engraved: "2027-05". */
public final class DateLabel {
    public final SwitchParam on;
    public final NumberParam year;
    public final NumberParam month;
    public final NumberParam high;
    private static final double DEEP_MM = 0.4;
    private static final double STROKE_MM = 0.9;

    public DateLabel(Card card, String what) {
        on = new SwitchParam("label.on", card, "Date on the wall", false, "Engraved, so that nobody has to remember it");
        year = NumberParam.count("label.year", card, what + ", year", 2020, 2099, 2027, "Engraved where the date is on the wall");
        month = NumberParam.count("label.month", card, what + ", month", 1, 12, 6, "Six months after it was put in, or as its maker says (common practice)");
        high = NumberParam.length("label.high", card, "Date's height", 3, 30, 6, "Of its digits");
    }

    /** All of them, in the order they are shown. */
    public List<Param<?>> params() {
        return List.of(on, year, month, high);
    }

    /** "2027-05", or nothing. */
    public String text(Values v) {
        return !on.of(v) ? "" : String.format(Locale.ROOT, "%04d-%02d", Math.round(year.of(v)), Math.round(month.of(v)));
    }

    /**
     * The letters.
     *
     * @param face its middle, z out of the wall, y upwards
     * @throws PartProblem when they are longer than the wall
     */
    public List<Solid> cuts(PartInputs in, Placement face, double widthMm, double heightMm) {
        String text = text(in.values());
        List<Solid> all = new ArrayList<>();
        if (text.isEmpty()) {
            return all;
        }
        double size = in.get(high);
        double wide = Lettering.widthMm(text, size, STROKE_MM);
        if (wide > widthMm - 2 || size > heightMm - 2) {
            throw new PartProblem(high, "“" + text + "” in digits of " + Quantity.mm(size) + " takes " + Quantity.mm(wide) + ", the wall is " + Quantity.mm(widthMm) + " × " + Quantity.mm(heightMm) + "; make them smaller.");
        }
        Placement corner = new Placement(face.point(-wide / 2, -size / 2, 0), face.u(), face.v(), face.w());
        for (Profile p : Lettering.outlines(text, size, STROKE_MM)) {
            all.add(Leaf.extrusion("date " + (all.size() + 1), p, corner, -DEEP_MM, 0.4));
        }
        return all;
    }
}
