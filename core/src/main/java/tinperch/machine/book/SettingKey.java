package tinperch.machine.book;

import java.util.List;
import java.util.Optional;
import tinperch.quantity.Table;

/**
 * A setting a machine may have, one row of {@code settings.csv}.
 *
 * @param group heading it stands under
 * @param unit sign after the number
 * @param redo name of the cause in {@code redo.csv}, empty when a change asks for nothing
 */
public record SettingKey(String key, String group, String label, String unit, String redo) {
    public static final List<SettingKey> ALL = Table.read(SettingKey.class, "settings.csv", SettingKey.class);

    public static Optional<SettingKey> of(String key) {
        return ALL.stream().filter(k -> k.key.equals(key)).findFirst();
    }

    /** The value as it is shown: "80.25 steps/mm". */
    public String show(double value) {
        String number = java.math.BigDecimal.valueOf(value).setScale(4, java.math.RoundingMode.HALF_UP).stripTrailingZeros()
                .toPlainString().replace('-', '−');
        return unit.isEmpty() ? number : number + " " + unit;
    }
}
