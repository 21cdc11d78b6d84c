package tinperch.part.form;

import tinperch.part.bind.Ref;

/**
 * What a part offers to other parts of its upgrade.
 *
 * @param id unique within the part
 */
public record Port(String id, String label, Ref ref) {}
