package tinperch.part.param;

/**
 * A card of the Shape station: parameters that belong together.
 *
 * @param id for storage and tests
 * @param title what stands on it
 */
public record Card(String id, String title) {}
