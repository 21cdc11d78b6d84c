package tinperch.workshop.device;

import com.fazecast.jSerialComm.SerialPort;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/** A serial port of this computer. */
public final class SerialLinePort implements LinePort {
    /** Asks a board for its temperatures; it moves and heats nothing. */
    private static final byte[] REPORT = "M105\n".getBytes(StandardCharsets.US_ASCII);
    private static final int WAIT_MS = 200;

    private final String systemName;
    private final int baud;
    private SerialPort port;

    /** A port there is. */
    public record Found(String systemName, String description) {}

    public SerialLinePort(String systemName, int baud) {
        this.systemName = systemName;
        this.baud = baud;
    }

    /** The ports there are; none where the system does not tell. */
    public static List<Found> all() {
        try {
            return Arrays.stream(SerialPort.getCommPorts()).map(p -> new Found(p.getSystemPortName(), p.getDescriptivePortName())).toList();
        } catch (RuntimeException | LinkageError e) {
            return List.of();
        }
    }

    @Override
    public String name() {
        return systemName;
    }

    @Override
    public boolean isSimulated() {
        return false;
    }

    @Override
    public void open() throws IOException {
        try {
            port = SerialPort.getCommPort(systemName);
        } catch (RuntimeException | LinkageError e) {
            throw new IOException("There is no port " + systemName + "; is it plugged in?");
        }
        port.setBaudRate(baud);
        port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, WAIT_MS, 0);
        // Some boards start anew when this line is pulled; a print must not end because somebody looks.
        port.clearDTR();
        if (!port.openPort()) {
            throw new IOException(Arrays.stream(SerialPort.getCommPorts()).noneMatch(p -> p.getSystemPortName().equals(systemName)) ? "The port " + systemName + " is not there; is it plugged in?"
                    : "The port " + systemName + " is held by another program, or may not be used by you.");
        }
    }

    @Override
    public int read(byte[] into) throws IOException {
        int n = port.readBytes(into, into.length);
        if (n < 0 || n == 0 && !port.isOpen()) {
            throw new IOException("The port " + systemName + " is gone.");
        }
        return n;
    }

    @Override
    public void ask() throws IOException {
        if (port.writeBytes(REPORT, REPORT.length) < 0) {
            throw new IOException("The port " + systemName + " is gone.");
        }
    }

    @Override
    public void close() {
        if (port != null) {
            port.closePort();
        }
    }
}
