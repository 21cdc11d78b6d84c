package tinperch.part;

/**
 * A part as designed: which family, with which values, in which material.
 *
 * @param name the part's own name, used in exports
 */
public record PartDesign(String familyId, String name, Values values, String material) {
    public PartDesign with(Values next) {
        return new PartDesign(familyId, name, next, material);
    }

    public PartDesign withMaterial(String next) {
        return new PartDesign(familyId, name, values, next);
    }

    public PartDesign withName(String next) {
        return new PartDesign(familyId, next, values, material);
    }
}
