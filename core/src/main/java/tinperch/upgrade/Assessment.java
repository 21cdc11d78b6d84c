package tinperch.upgrade;

import java.util.List;
import java.util.Optional;
import tinperch.check.Finding;
import tinperch.part.PartForm;

/**
 * What can be said about an upgrade's part without computing a triangle.
 *
 * @param form absent when there is no part yet or it cannot be built
 * @param findings tightest first
 */
public record Assessment(Optional<PartForm> form, List<Finding> findings) {
    public Assessment {
        findings = List.copyOf(findings);
    }
}
