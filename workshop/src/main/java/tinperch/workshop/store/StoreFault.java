package tinperch.workshop.store;

/** The workshop file could not be read or written; the message is for the owner. */
public final class StoreFault extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final Kind kind;

    /** What it comes from. */
    public enum Kind {
        /** Another window, of this or another process, has it open. */
        LOCKED,
        /** The file has no bytes: nobody knows whether a workshop was in it. */
        EMPTY,
        /** The file is not there, but backups of it are. */
        GONE,
        /** There is no room on the disk. */
        FULL,
        /** The file or its folder may not be written to. */
        NOT_WRITABLE,
        /** It is something else's file. */
        NOT_OURS,
        /** The disk or the system refuses for another reason. */
        DISK
    }

    public StoreFault(Kind kind, String message, Throwable cause) {
        super(message, cause);
        this.kind = kind;
    }

    public Kind kind() {
        return kind;
    }

    /** What an error of the disk or of the database comes from. */
    static Kind kindOf(Throwable e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            String m = String.valueOf(t.getMessage());
            if (m.contains("SQLITE_FULL") || m.contains("database or disk is full") || m.contains("No space left")) {
                return Kind.FULL;
            }
            if (m.contains("SQLITE_BUSY") || m.contains("SQLITE_LOCKED") || m.contains("database is locked")) {
                return Kind.LOCKED;
            }
            if (m.contains("SQLITE_READONLY") || m.contains("SQLITE_CANTOPEN") || m.contains("SQLITE_PERM") || m.contains("readonly database") || m.contains("Read-only file system")
                    || t instanceof java.nio.file.AccessDeniedException) {
                return Kind.NOT_WRITABLE;
            }
        }
        return Kind.DISK;
    }
}
