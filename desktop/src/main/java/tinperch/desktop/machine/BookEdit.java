package tinperch.desktop.machine;

import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import tinperch.desktop.desk.Desk;
import tinperch.machine.book.Book;
import tinperch.machine.book.BookProblem;

/** Makes an edit of a machine's book one undoable step, or says why it cannot be made. */
final class BookEdit {
    private BookEdit() {}

    /** Answers why not, or empty. */
    static Optional<String> make(Desk desk, String machineId, String label, UnaryOperator<Book> change) {
        try {
            Book next = change.apply(desk.state().machine(machineId).orElseThrow().book());
            desk.workshop().edit(label, s -> s.with(s.machine(machineId).orElseThrow().withBook(next)));
            return Optional.empty();
        } catch (BookProblem e) {
            return Optional.of(e.getMessage());
        }
    }

    /** A name for a new entry. */
    static String freshId() {
        return UUID.randomUUID().toString().substring(0, 13);
    }

    /** Who is writing, as told last time. */
    static String writer(Desk desk) {
        return desk.workshop().preference("writer").orElse("");
    }
}
