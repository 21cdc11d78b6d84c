package tinperch.files.log;

import java.util.List;

/**
 * How a log of columns is to be read.
 *
 * @param separator between columns; a blank stands for any number of them
 * @param headerLines lines before the first row
 * @param dateColumn column with the day where it is not with the time, −1 for none
 * @param timeColumn column of the times, −1 for none
 * @param intervalS from row to row where there is no time, s, above 0
 * @param fields the columns that are taken
 */
public record LogLayout(char separator, boolean decimalComma, int headerLines, int dateColumn, int timeColumn, Stamp stamp, double intervalS, List<Field> fields) {
    public LogLayout {
        fields = List.copyOf(fields);
    }

    /** A column that becomes a channel. */
    public record Field(int column, String name, Reads reads) {}

    /** With other columns. */
    public LogLayout with(List<Field> next) {
        return new LogLayout(separator, decimalComma, headerLines, dateColumn, timeColumn, stamp, intervalS, next);
    }

    /** With another time. */
    public LogLayout timed(int date, int time, Stamp how, double everyS) {
        return new LogLayout(separator, decimalComma, headerLines, date, time, how, everyS, fields);
    }

    /** With other marks. */
    public LogLayout marked(char between, boolean comma, int header) {
        return new LogLayout(between, comma, header, dateColumn, timeColumn, stamp, intervalS, fields);
    }
}
