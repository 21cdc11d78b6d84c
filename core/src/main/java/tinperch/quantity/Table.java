package tinperch.quantity;

import com.fasterxml.jackson.databind.MappingIterator;
import com.fasterxml.jackson.dataformat.csv.CsvMapper;
import com.fasterxml.jackson.dataformat.csv.CsvParser;
import com.fasterxml.jackson.dataformat.csv.CsvSchema;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/** Reads the data tables that ship inside the application: comma separated, first row the column names. */
public final class Table {
    private Table() {}

    /**
     * All rows of a table that stands beside a class.
     *
     * @throws IllegalStateException when the table is missing or a row does not fit: a fault of the build
     */
    public static <T> List<T> read(Class<?> beside, String name, Class<T> row) {
        CsvMapper mapper = CsvMapper.builder().enable(CsvParser.Feature.TRIM_SPACES)
                .enable(CsvParser.Feature.ALLOW_COMMENTS).enable(CsvParser.Feature.SKIP_EMPTY_LINES).build();
        try (InputStream in = beside.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("The table " + name + " is missing from the application.");
            }
            try (MappingIterator<T> rows = mapper.readerFor(row).with(CsvSchema.emptySchema().withHeader())
                    .readValues(in)) {
                return rows.readAll();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The table " + name + " cannot be read", e);
        }
    }
}
