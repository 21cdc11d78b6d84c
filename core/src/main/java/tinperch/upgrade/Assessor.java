package tinperch.upgrade;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tinperch.check.BedFitCheck;
import tinperch.check.Change;
import tinperch.check.Check;
import tinperch.check.Finding;
import tinperch.check.Remedy;
import tinperch.check.ScrewLengthCheck;
import tinperch.check.SeatWallCheck;
import tinperch.check.Situation;
import tinperch.check.Word;
import tinperch.machine.Machine;
import tinperch.machine.model.Model;
import tinperch.measure.MeasuredPattern;
import tinperch.part.HolePattern;
import tinperch.part.Parameter;
import tinperch.part.PartDesign;
import tinperch.part.PartFamily;
import tinperch.part.PartForm;
import tinperch.part.PartInputs;
import tinperch.part.PartProblem;
import tinperch.part.Values;
import tinperch.solid.SolidException;

/** The pure function from an upgrade and the shop to its judgement; safe on any thread, cheap enough for every key press. */
public final class Assessor {
    private static final List<Check> CHECKS = List.of(new ScrewLengthCheck(), new SeatWallCheck(), new BedFitCheck());

    private Assessor() {}

    /**
     * Judges the part of an upgrade.
     *
     * @param mark the mark to engrave
     */
    public static Assessment assess(Upgrade upgrade, Shop shop, String mark) {
        if (upgrade.part().isEmpty()) {
            return new Assessment(Optional.empty(), List.of());
        }
        PartForm form;
        try {
            form = form(upgrade, shop, mark);
        } catch (PartProblem | SolidException e) {
            return new Assessment(Optional.empty(), List.of(new Finding("part", Word.STOP, "The part cannot be built",
                    e.getMessage(), Optional.empty(), List.of(), "")));
        }
        PartDesign part = upgrade.part().get();
        Situation s = new Situation(form, valuesOf(part), shop.machines(), upgrade.machineId(), upgrade.hostMachineId(),
                part.material(), shop.hardware(), shop.drawer());
        List<Finding> findings = new ArrayList<>();
        CHECKS.forEach(c -> findings.addAll(c.judge(s)));
        mark(form, mark).ifPresent(findings::add);
        assumedCorners(upgrade).ifPresent(findings::add);
        doubtfulBase(upgrade, shop).ifPresent(findings::add);
        findings.sort(Finding::tightestFirst);
        return new Assessment(Optional.of(form), findings);
    }

    /**
     * The form of an upgrade's part.
     *
     * @throws PartProblem when its values fit no part
     */
    public static PartForm form(Upgrade upgrade, Shop shop, String mark) {
        PartDesign part = upgrade.part().orElseThrow();
        PartFamily family = family(part);
        refuseUnknown(family, valuesOf(part));
        double offset = shop.machines().stream().filter(m -> m.id().equals(upgrade.hostMachineId()))
                .mapToDouble(Machine::holeOffsetMm).findFirst().orElse(0);
        return family.form(new PartInputs(valuesOf(part), patterns(upgrade), shop.hardware(), offset, mark,
                family.wantsBase() ? Optional.of(shop.bases().base(part.base())) : Optional.empty()));
    }

    /** A workshop file may hold words this version does not know. */
    private static void refuseUnknown(PartFamily family, Values values) {
        for (Parameter p : family.parameters()) {
            if (p.isChoice() && !p.choices().contains(values.choice(p.key()))) {
                throw new PartProblem(p.key(), p.label() + " is “" + values.choice(p.key())
                        + "”, which this version does not know; choose another. Nothing else was changed.");
            }
        }
    }

    /** The measured patterns of an upgrade by role; roles read too little are left out. */
    public static Map<String, HolePattern> patterns(Upgrade upgrade) {
        Map<String, HolePattern> patterns = new TreeMap<>();
        upgrade.sheets().forEach((role, sheet) -> MeasuredPattern.of(sheet)
                .ifPresent(m -> patterns.put(role, HolePattern.of(sheet.name(), m))));
        return patterns;
    }

    /** The upgrade after a remedy. */
    public static Upgrade apply(Upgrade upgrade, Remedy remedy) {
        Upgrade next = upgrade;
        for (Change c : remedy.changes()) {
            if (c instanceof Change.Host h) {
                next = next.onHost(h.machineId());
            } else {
                PartDesign part = next.part().orElseThrow();
                next = next.with(part.with(c.in(part.values())));
            }
        }
        return next;
    }

    /** @throws PartProblem when the part is of a family this version does not know */
    public static PartFamily family(PartDesign part) {
        return Families.byId(part.familyId()).orElseThrow(() -> new PartProblem("",
                "This part is of a kind this version does not know (" + part.familyId() + "); a newer version made it."));
    }

    private static Values valuesOf(PartDesign part) {
        return part.values().over(family(part).start());
    }

    private static Optional<Finding> mark(PartForm form, String mark) {
        if (mark.isEmpty() || form.markPlace().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(new Finding("mark", Word.LOOK, "No room for the mark " + mark,
                "Loose prototypes cannot be told apart afterwards; make room for it, or write it on with a pen.",
                Optional.empty(), List.of(), ""));
    }

    /** A part is no better than the model it is made from. */
    private static Optional<Finding> doubtfulBase(Upgrade upgrade, Shop shop) {
        String id = upgrade.part().orElseThrow().base();
        return shop.machines().stream().flatMap(m -> m.model(id).stream()).findFirst().filter(m -> m.verdict() != Model.Verdict.AGREES)
                .map(m -> new Finding("base", m.verdict() == Model.Verdict.DISAGREES ? Word.STOP : Word.LOOK,
                        m.verdict() == Model.Verdict.DISAGREES ? "The model is not true" : "The model was not checked",
                        "“" + m.name() + "”: " + m.verdictWords(), Optional.empty(), List.of(), ""));
    }

    private static Optional<Finding> assumedCorners(Upgrade upgrade) {
        List<String> assumed = upgrade.sheets().values().stream()
                .filter(sheet -> MeasuredPattern.of(sheet).map(MeasuredPattern::squareAssumed).orElse(false))
                .map(tinperch.measure.PatternSheet::name).toList();
        if (assumed.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Finding("pattern.square", Word.LOOK,
                "No diagonal was read on " + String.join(" and ", assumed),
                "The corners are taken as square. Machines often are not: read one diagonal on the Measure station.",
                Optional.empty(), List.of(), ""));
    }
}
