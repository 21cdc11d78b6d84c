package tinperch.part.bind;


/**
 * Something a family is built around and asks for: a hole pattern, a fan, a hose.
 *
 * @param <R> what it is resolved to
 * @param id for storage, unique within the family
 * @param label a short name, "machine side"
 * @param ask what to measure, "the four holes the plate bolts to"
 * @param optional whether a part can do without
 * @param usual id of the usual size a new part begins with; empty when there is none
 */
public record Role<R extends Ref>(String id, RefKind<R> kind, String label, String ask, boolean optional, String usual) {}
