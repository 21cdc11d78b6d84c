package tinperch.part;

import java.util.Optional;
import tinperch.hardware.HeatSetInsert;

/**
 * The tightest place of one site where an insert or a nut sits in printed plastic, or a screw passes through it.
 *
 * @param site key prefix of the site
 * @param label what a finding calls it, "tool insert C"
 * @param feature name of the feature in the solid
 * @param cavityMm width of the hole or pocket across its widest, mm
 * @param aroundMm least wall around it, {@code beside} says towards what; {@code aroundKey} the parameter that widens it
 *     by {@code aroundGain} per mm
 * @param underMm wall the nut pulls against, or the ledge below an insert's hole
 * @param bossMm diameter of the boss it stands in; 0 when it sits in the plate alone
 * @param insert the insert, if one
 */
public record Seat(String site, String label, String feature, SeatKind kind, double cavityMm, double aroundMm,
        String beside, String aroundKey, double aroundGain, double underMm, String underKey, double bossMm,
        String bossKey, Optional<HeatSetInsert> insert, String insertKey) {}
