package tinperch.desktop.machine;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import tinperch.desktop.desk.Desk;
import tinperch.machine.book.Book;
import tinperch.machine.book.Standing;

/**
 * A machine's book opened at a day with a loadout on.
 *
 * @param then how the machine stood that day
 */
record BookDay(Desk desk, String machineId, Book book, LocalDate day, String loadout, Standing then) {
    static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.ENGLISH);

    boolean isToday() {
        return day.equals(LocalDate.now());
    }

    /** Makes an edit; answers why not, or empty. */
    Optional<String> make(String label, UnaryOperator<Book> change) {
        return BookEdit.make(desk, machineId, label, change);
    }

    /** Makes an edit, and says in the window why it could not be made. */
    void makeOrWarn(String label, UnaryOperator<Book> change) {
        make(label, change).ifPresent(desk::warn);
    }
}
