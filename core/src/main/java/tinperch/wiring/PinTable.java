package tinperch.wiring;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * What lies on what when a plug goes into a socket as it is.
 *
 * @param ofPlug what lies on its pins, in order; {@code ofSocket} on the socket's
 */
public record PinTable(List<String> ofPlug, List<String> ofSocket) {
    public PinTable {
        ofPlug = List.copyOf(ofPlug);
        ofSocket = List.copyOf(ofSocket);
    }

    /** Pins of the longer of both. */
    public int count() {
        return Math.max(ofPlug.size(), ofSocket.size());
    }

    /** What lies on a pin of the plug; "nothing" beyond its last. */
    public String plug(int i) {
        return said(ofPlug, i);
    }

    /** What lies on a pin of the socket; "nothing" beyond its last. */
    public String socket(int i) {
        return said(ofSocket, i);
    }

    private static String said(List<String> pins, int i) {
        return i < pins.size() && !pins.get(i).isEmpty() ? pins.get(i) : "nothing";
    }

    /** The pin of the socket that has what the plug's has, its own before others; empty where none has. */
    public Optional<Integer> goesTo(int i) {
        return alike(plug(i), socket(i)) ? Optional.of(i) : IntStream.range(0, count()).filter(j -> alike(plug(i), socket(j))).boxed().findFirst();
    }

    /** How many pins meet their like. */
    public int right() {
        return (int) IntStream.range(0, count()).filter(i -> alike(plug(i), socket(i))).count();
    }

    /** Whether each pin meets its like. */
    public boolean same() {
        return right() == count();
    }

    /** The plug's pins in the order of the socket's; empty where one has no place there, or two want the same. */
    public Optional<List<String>> ordered() {
        String[] next = new String[count()];
        for (int i = 0; i < count(); i++) {
            Optional<Integer> to = nothing(plug(i)) ? Optional.empty() : goesTo(i);
            if (!nothing(plug(i)) && (to.isEmpty() || next[to.get()] != null)) {
                return Optional.empty();
            }
            if (to.isPresent()) {
                next[to.get()] = ofPlug.get(i);
            }
        }
        return Optional.of(Arrays.stream(next).map(p -> p == null ? "" : p).toList());
    }

    /** Whether a plus meets a minus, or a supply a line that is none. */
    public boolean crosses() {
        return IntStream.range(0, count()).anyMatch(i -> pole(plug(i)) != pole(socket(i)) && (pole(plug(i)) > 0 || pole(socket(i)) > 0) && !nothing(plug(i)) && !nothing(socket(i)));
    }

    private static boolean alike(String a, String b) {
        return pole(a) != 0 ? pole(a) == pole(b) : plain(a).equals(plain(b));
    }

    private static boolean nothing(String s) {
        return s.equals("nothing");
    }

    private static String plain(String s) {
        return s.toLowerCase(Locale.ROOT).replaceAll("\\s+", " ").strip();
    }

    /** 1 for a supply ("+", "+24 V", "24V", "VCC"), −1 for its return ("−", "GND", "0 V", "minus"), 0 for anything else. */
    private static int pole(String said) {
        String s = plain(said).replace('−', '-').replace('–', '-');
        if (s.matches("-|- ?\\d.*|gnd|ground|minus|0 ?v|com|v-|-v|black")) {
            return -1;
        }
        return s.matches("\\+.*|plus|vcc|vdd|v\\+|vin|\\d+([.,]\\d+)? ?v|red") ? 1 : 0;
    }
}
