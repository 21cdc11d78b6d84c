package tinperch.files.log;

/** Numbers as recorders write them. */
final class Numbers {
    private static final double[] TENTHS = {1, 1e-1, 1e-2, 1e-3, 1e-4, 1e-5, 1e-6, 1e-7, 1e-8, 1e-9};
    private static final int DIGITS = 15;

    private Numbers() {}

    /** A number, alone or before its unit with a blank between; NaN where there is none: "OPEN", "---", "". */
    static double value(String text, boolean decimalComma) {
        int from = 0;
        int to = text.length();
        while (from < to && text.charAt(from) <= ' ') {
            from++;
        }
        while (to > from && text.charAt(to - 1) <= ' ') {
            to--;
        }
        if (from == to) {
            return Double.NaN;
        }
        char mark = decimalComma ? ',' : '.';
        boolean minus = text.charAt(from) == '-';
        int i = minus || text.charAt(from) == '+' ? from + 1 : from;
        long digits = 0;
        int seen = 0;
        int after = -1;
        for (; i < to; i++) {
            char c = text.charAt(i);
            if (c >= '0' && c <= '9' && seen < DIGITS) {
                digits = digits * 10 + c - '0';
                seen++;
            } else if (c == mark && after < 0) {
                after = seen;
            } else {
                break;
            }
        }
        int places = after < 0 ? 0 : seen - after;
        if (seen > 0 && places < TENTHS.length && (i == to || text.charAt(i) == ' ')) {
            double v = digits * TENTHS[places];
            return minus ? -v : v;
        }
        return slow(text.substring(from, to), decimalComma);
    }

    /** With an exponent, or with more digits than fit a whole number. */
    private static double slow(String text, boolean decimalComma) {
        String plain = decimalComma ? text.replace(',', '.') : text;
        if (plain.chars().anyMatch(c -> !(c >= '0' && c <= '9') && "+-.eE".indexOf(c) < 0)) {
            return Double.NaN;
        }
        try {
            return Double.parseDouble(plain);
        } catch (NumberFormatException e) {
            return Double.NaN;
        }
    }
}
