package tinperch.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tinperch.fact.Facts;
import tinperch.machine.model.Model;
import tinperch.part.bind.HolesRef;
import tinperch.part.bind.MeshRef;
import tinperch.part.bind.Ref;
import tinperch.part.bind.Role;
import tinperch.upgrade.Case;

/** How well is known what the part is built around? A part is no better than its readings or the model it is made from. */
public final class KnownCheck implements Check {
    @Override
    public String about() {
        return "readings";
    }

    @Override
    public List<Finding> judge(Case c, Facts facts) {
        List<Finding> all = new ArrayList<>();
        Map<String, Ref> refs = c.recipe().refs().byRole();
        for (Role<?> role : c.family().map(f -> f.roles()).orElse(List.of())) {
            String id = "known." + role.id();
            Ref ref = refs.get(role.id());
            String problem = c.recipe().refs().problems().get(role.id());
            if (problem != null) {
                all.add(Finding.of(id, Severity.STOP, "Nothing is known of the " + role.label(), problem).settledBy(Settle.By.MEASURE, role.id(), "say what it is"));
            } else if (ref instanceof MeshRef m) {
                if (m.verdict() != Model.Verdict.AGREES) {
                    boolean wrong = m.verdict() == Model.Verdict.DISAGREES;
                    all.add(Finding.of(id, wrong ? Severity.STOP : Severity.LOOK, wrong ? "The model is not true" : "The model was not checked",
                            "“" + m.name() + "”: " + m.verdictWords()).settledBy(Settle.By.MODEL, "", "check the model"));
                }
            } else if (ref != null && !ref.known().isMeasured()) {
                all.add(Finding.of(id, Severity.LOOK, sentence(role.label()) + " is not measured yet", ref.name() + ": " + ref.says() + " ("
                        + ref.known().words() + "). Read " + role.ask() + " on the Measure station before it is printed.").settledBy(Settle.By.MEASURE, role.id(), "measure it"));
            } else if (ref instanceof HolesRef h && h.squareAssumed()) {
                all.add(Finding.of(id, Severity.LOOK, "No diagonal was read on " + h.name(),
                        "The corners are taken as square. Machines often are not: read one diagonal on the Measure station.").settledBy(Settle.By.MEASURE, role.id(), "read a diagonal"));
            }
        }
        return all;
    }

    private static String sentence(String label) {
        return label.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + label.substring(1);
    }
}
