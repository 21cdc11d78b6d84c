package tinperch.machine.book;

/** One of several tool plates of a machine, with components and settings of its own. */
public record Loadout(String id, String name, String note) {}
