package tinperch.machine.book;

import java.time.LocalDate;

/**
 * A setting given a value on a day.
 *
 * @param key of {@link SettingKey}
 * @param loadout the loadout it is for, empty for the machine itself
 * @param by who or what changed it, {@code why} the reason
 */
public record SettingChange(String id, String key, double value, String loadout, LocalDate on, String by, String why) {}
