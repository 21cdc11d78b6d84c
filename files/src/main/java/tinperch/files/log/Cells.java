package tinperch.files.log;

import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.ByteBuffer;
import java.util.ArrayList;
import java.util.List;

/** A line of a log taken apart. */
final class Cells {
    private static final int MOST = 512;

    private Cells() {}

    /** The cells between separators, without blanks and quotes around them; of a blank any number is one. */
    static List<String> of(String line, char separator) {
        List<String> all = new ArrayList<>();
        int from = 0;
        boolean quoted = false;
        for (int i = 0; i <= line.length() && all.size() < MOST; i++) {
            if (i < line.length() && line.charAt(i) == '"') {
                quoted = !quoted;
            }
            if (i == line.length() || line.charAt(i) == separator && !quoted) {
                String cell = line.substring(from, i).strip();
                from = i + 1;
                if (cell.length() > 1 && cell.startsWith("\"") && cell.endsWith("\"")) {
                    cell = cell.substring(1, cell.length() - 1).strip();
                }
                if (separator != ' ' || !cell.isEmpty()) {
                    all.add(cell);
                }
            }
        }
        return all;
    }

    /** A line whose bytes are characters, as the words it was written with where those were UTF-8; without the mark some programs begin a file with. */
    static String words(String bytes) {
        try {
            String s = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes.getBytes(StandardCharsets.ISO_8859_1))).toString();
            return s.startsWith("\uFEFF") ? s.substring(1) : s;
        } catch (CharacterCodingException e) {
            return bytes;
        }
    }
}
