package tinperch.workshop.demo;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Random;
import tinperch.machine.Machine;
import tinperch.trial.Channel;
import tinperch.trial.Kept;
import tinperch.trial.Run;
import tinperch.workshop.log.LogStore;
import tinperch.workshop.log.RunWriter;

/**
 * Logs of the demo: the bed's connector on Avocet's board before and with a switching module, and its blower carriage during a print. Reckoned from first-order
 * rises, the bed's duty and the contact's resistance with noise of a logger; nobody recorded them.
 */
public final class DemoLogs {
    private static final Channel CONTACT = Channel.named("c0", "Bed connector").withKind(Channel.Kind.CONTACT).of("contact-bed", "").where("thermocouple under the screw, plus side");

    private static final Run BEFORE = new Run("demo-contact-before", "Bed at 100 °C, as delivered", LocalDateTime.of(2026, 10, 3, 18, 20), 3 * 3600 - 1,
            contacts(new Kept(111.8, true, 107.3, 0.01), new Kept(100.5, true, 100, 0.01), new Kept(22.5, true, 22, 0.01)), "thermocouple logger, 2 inputs, and the board's reports", true, "Boathouse doors shut");
    private static final Run AFTER = new Run("demo-contact-after", "Bed at 100 °C, module on the bench", LocalDateTime.of(2026, 11, 14, 17, 45), 3 * 3600 - 1, contacts(new Kept(52.9, true, 51.8, 0.01), new Kept(100.5, true, 100, 0.01), new Kept(21, true, 20.5, 0.01)), BEFORE.source(), true,
            "Switching module clamped to the bench, before its mount was drawn");
    private static final Run CARRIAGE = new Run("demo-carriage", "Hull rib, four hours", LocalDateTime.of(2026, 10, 11, 9, 5), 4 * 3600 - 2,
            List.of(Channel.named("c0", "T").keeping(new Kept(210.6, true, 209.1, 0.04)), Channel.named("c1", "T/target").of("c0", ""), Channel.named("c2", "Bed").keeping(new Kept(60.4, true, 59.9, 0.11)),
                    Channel.named("c3", "Room").keeping(new Kept(22.5, true, 22, 0.01)),
                    Channel.named("c4", "Carriage, lower edge").withKind(Channel.Kind.SPOT).of("avocet-blower/p1", "R4").where("lower edge, above the block").keeping(new Kept(64.1, true, 62.8, 0.02))),
            "the board's reports and a thermocouple", true, "With the sock on, fan at half");

    private DemoLogs() {}

    /** What is kept was reckoned from the samples below once, so that a demo can be begun without them. */
    private static List<Channel> contacts(Kept contact, Kept bed, Kept room) {
        return List.of(CONTACT.keeping(contact), Channel.named("c1", "Bed").keeping(bed), Channel.named("c2", "Room").keeping(room), Channel.named("c3", "Bed duty %").of("c1", ""));
    }

    /** Avocet with its runs. */
    static Machine on(Machine avocet) {
        return avocet.with(BEFORE).with(CARRIAGE).with(AFTER);
    }

    /** Writes the samples of the demo's runs, where machines have them and they are not there yet. */
    public static void fill(List<Machine> machines, LogStore logs) {
        if (machines.stream().anyMatch(m -> m.run(BEFORE.id()).isPresent()) && !logs.has(BEFORE.id())) {
            contact(logs, BEFORE.id(), 105, 21.0, 1);
            contact(logs, AFTER.id(), 28, 19.5, 2);
            carriage(logs);
        }
    }

    /**
     * One value a second: the bed heats at full power, then holds; the contact's rise follows the duty with a time constant of 11 minutes.
     *
     * @param fullK its rise were the current never off
     */
    private static void contact(LogStore logs, String id, double fullK, double roomC, int seed) {
        Random dice = new Random(seed);
        double bed = roomC;
        double contact = roomC;
        double duty = 1;
        try (RunWriter w = logs.begin(id, 4)) {
            for (int s = 0; s < 3 * 3600; s++) {
                duty = bed < 98.5 ? 1 : Math.max(0, Math.min(1, 0.71 + (100 - bed) * 0.35));
                bed += (duty * 176 - (bed - roomC) * 1.58) / 1350;
                double room = roomC + 1.2 * (1 - Math.exp(-s / 5000.0)) + 0.15 * Math.sin(s / 900.0);
                contact += (room + (bed - room) * 0.14 + fullK * duty - contact) / 660;
                // The logger's second input was off for four minutes.
                boolean off = seed == 1 && s > 7300 && s < 7540;
                w.row(s, new float[] {off ? Float.NaN : tenth(contact + 0.25 * dice.nextGaussian()), tenth(bed + 0.12 * dice.nextGaussian()), tenth(room + 0.15 * dice.nextGaussian()), Math.round(100 * duty)});
            }
            w.whole();
        }
    }

    private static void carriage(LogStore logs) {
        Random dice = new Random(3);
        double spot = 20.5;
        double block = 20.5;
        double bed = 20.5;
        try (RunWriter w = logs.begin(CARRIAGE.id(), 5)) {
            for (int s = 0; s < 4 * 3600; s += 2) {
                double target = s < 180 ? 0 : s > 14_000 ? 0 : 210;
                double swing = target > 0 && block > 207 ? 1.1 * Math.sin(s / 3.1) : 0;
                block += target > block + 1 ? 2 * Math.min(2.2, (target - block) / 9) : target == 0 ? -2 * (block - 21) / 190 : 0;
                bed += 2 * ((s > 14_000 ? 21 : 60) - bed) / 300;
                double room = 20.5 + 1.8 * (1 - Math.exp(-s / 6000.0));
                spot += 2 * (room + 0.205 * (block - room) + 0.07 * (bed - room) - spot) / 820;
                w.row(s, new float[] {tenth(block + swing + 0.15 * dice.nextGaussian()), (float) target, tenth(bed + 0.1 * dice.nextGaussian()), tenth(room + 0.1 * dice.nextGaussian()), tenth(spot + 0.3 * dice.nextGaussian())});
            }
            w.whole();
        }
    }

    private static float tenth(double c) {
        return Math.round(c * 10) / 10f;
    }
}
