package tinperch.part;

/**
 * A part as designed: which family, with which values, in which material.
 *
 * @param name the part's own name, used in exports
 * @param base id of the downloaded model it is made from; empty when it is drawn from nothing
 */
public record PartDesign(String familyId, String name, Values values, String material, String base) {
    /** What a new part is to be printed in: tough, easy, and stands some warmth (common practice for parts of machines). */
    public static final String FIRST_MATERIAL = "PETG";

    public PartDesign {
        base = base == null ? "" : base;
    }

    /** A part drawn from nothing. */
    public PartDesign(String familyId, String name, Values values, String material) {
        this(familyId, name, values, material, "");
    }

    public PartDesign with(Values next) {
        return new PartDesign(familyId, name, next, material, base);
    }

    public PartDesign withMaterial(String next) {
        return new PartDesign(familyId, name, values, next, base);
    }

    public PartDesign withName(String next) {
        return new PartDesign(familyId, next, values, material, base);
    }
}
