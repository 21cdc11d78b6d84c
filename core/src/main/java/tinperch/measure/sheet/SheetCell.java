package tinperch.measure.sheet;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Quantity;
import tinperch.quantity.Table;
import tinperch.quantity.Unit;

/**
 * One thing read on a sheet, one row of {@code cells.csv}.
 *
 * @param least smallest reading that can be true, {@code most} the largest
 * @param needed whether the sheet says little without it
 * @param half what the usual instrument can be off by (calipers ± 0.03 mm, kitchen scale ± 1 g …; common practice)
 * @param over the cell it must be larger than, empty for none
 * @param x1 where the two jaws (or the pushing finger) go in the picture
 * @param how where to put the instrument, in words
 */
public record SheetCell(String kind, String cell, String label, Unit unit, double least, double most, boolean needed,
        double half, String over, double x1, double y1, double x2, double y2, String how) {
    static final List<SheetCell> ALL = Table.read(SheetCell.class, "cells.csv", SheetCell.class);

    /** What is wrong with a reading before it is taken into a sheet, or empty. */
    public Optional<String> objection(Sheet sheet, double value) {
        if (!(value >= least)) {
            return Optional.of(least == 0 ? "A reading here cannot be below zero; this one was left out."
                    : label + " is at least " + Quantity.show(least, unit) + "; check the decimal point. The reading was left out.");
        }
        if (value > most) {
            return Optional.of(label + " is at most " + Quantity.show(most, unit)
                    + "; check the decimal point. The reading was left out.");
        }
        for (SheetCell other : SheetKind.of(kind).orElseThrow().cells()) {
            Optional<Double> there = sheet.spread(other.cell).map(tinperch.measure.Spread::mean);
            if (there.isPresent() && (other.cell.equals(over) && value <= there.get() || other.over.equals(cell)
                    && value >= there.get())) {
                boolean larger = other.cell.equals(over);
                return Optional.of(label + " must be " + (larger ? "larger" : "smaller") + " than " + Quantity.inSentence(other.label)
                        + " (" + Quantity.show(there.get(), unit) + "); the reading was left out.");
            }
        }
        return Optional.empty();
    }
}
