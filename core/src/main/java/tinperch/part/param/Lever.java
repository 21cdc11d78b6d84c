package tinperch.part.param;

/**
 * "This number widens that one": what a remedy may pull.
 *
 * @param gain how much the judged length grows for each mm of the parameter; negative when it shrinks
 * @param word what the parameter is called on a remedy's button, "boss Ø"
 */
public record Lever(NumberParam param, double gain, String word) {
    /** The parameter's value after the judged length has grown by {@code byMm}, rounded to tenths so that it grows rather more. */
    public double pulled(Values values, double byMm) {
        double raw = param.of(values) + byMm / gain;
        return byMm / gain > 0 ? Math.ceil(raw * 10 - 1e-6) / 10 : Math.floor(raw * 10 + 1e-6) / 10;
    }
}
