package tinperch.files.svg;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import tinperch.part.flat.FlatOutline;
import tinperch.part.flat.RoundHole;

/**
 * Writes a plate's outline and holes as SVG, one user unit a millimetre, seen from above as it lies on the bed. Groups as layers:
 * outline, cutouts, holes to cut; centres and notes to read.
 */
public final class SvgFile {
    private static final double MARGIN_MM = 10;
    private static final double CHECK_MM = 100;
    private static final double FOOT_MM = 14;

    private final XMLStreamWriter xml;
    private final double left;
    private final double top;

    private SvgFile(XMLStreamWriter xml, double left, double top) {
        this.xml = xml;
        this.left = left;
        this.top = top;
    }

    /** Writes it; the stream is left open. */
    public static void write(FlatOutline plate, String title, OutputStream out) throws IOException {
        double[] f = plate.frame().orElse(new double[4]);
        double width = Math.max(f[2] - f[0], CHECK_MM) + 2 * MARGIN_MM;
        double height = f[3] - f[1] + 2 * MARGIN_MM + FOOT_MM;
        try {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out, "UTF-8");
            new SvgFile(xml, f[0] - MARGIN_MM, f[3] + MARGIN_MM).drawing(plate, title, width, height);
            xml.flush();
        } catch (XMLStreamException e) {
            throw new IOException(e);
        }
    }

    private void drawing(FlatOutline plate, String title, double width, double height) throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("svg");
        xml.writeDefaultNamespace("http://www.w3.org/2000/svg");
        xml.writeAttribute("width", number(width) + "mm");
        xml.writeAttribute("height", number(height) + "mm");
        xml.writeAttribute("viewBox", "0 0 " + number(width) + " " + number(height));
        xml.writeStartElement("title");
        xml.writeCharacters(title.replaceAll("[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F\\uD800-\\uDFFF\\uFFFE\\uFFFF]", ""));
        xml.writeEndElement();
        group("outline", "#000000");
        path(plate.outlines());
        xml.writeEndElement();
        group("cutouts", "#000000");
        path(plate.cutouts());
        xml.writeEndElement();
        group("holes", "#000000");
        for (RoundHole h : plate.holes()) {
            xml.writeEmptyElement("circle");
            xml.writeAttribute("cx", number(h.xMm() - left));
            xml.writeAttribute("cy", number(top - h.yMm()));
            xml.writeAttribute("r", number(h.diameterMm() / 2));
        }
        xml.writeEndElement();
        group("centres", "#777777");
        for (RoundHole h : plate.holes()) {
            double arm = h.diameterMm() / 2 + 1;
            cross(h.xMm() - left, top - h.yMm(), arm);
        }
        xml.writeEndElement();
        group("notes", "#777777");
        double y = height - MARGIN_MM;
        line(MARGIN_MM, y, MARGIN_MM + CHECK_MM, y);
        line(MARGIN_MM, y - 1, MARGIN_MM, y + 1);
        line(MARGIN_MM + CHECK_MM, y - 1, MARGIN_MM + CHECK_MM, y + 1);
        xml.writeStartElement("text");
        xml.writeAttribute("x", number(MARGIN_MM));
        xml.writeAttribute("y", number(y - 2));
        xml.writeAttribute("font-size", "3");
        xml.writeAttribute("font-family", "sans-serif");
        xml.writeAttribute("fill", "#777777");
        xml.writeAttribute("stroke", "none");
        xml.writeCharacters("100 mm");
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEndDocument();
    }

    private void group(String id, String colour) throws XMLStreamException {
        xml.writeStartElement("g");
        xml.writeAttribute("id", id);
        xml.writeAttribute("fill", "none");
        xml.writeAttribute("stroke", colour);
        xml.writeAttribute("stroke-width", "0.1");
    }

    private void path(List<double[]> rings) throws XMLStreamException {
        for (double[] r : rings) {
            StringBuilder d = new StringBuilder();
            for (int i = 0; i < r.length; i += 2) {
                d.append(i == 0 ? "M" : "L").append(number(r[i] - left)).append(' ').append(number(top - r[i + 1]));
            }
            xml.writeEmptyElement("path");
            xml.writeAttribute("d", d + "Z");
        }
    }

    private void cross(double x, double y, double arm) throws XMLStreamException {
        line(x - arm, y, x + arm, y);
        line(x, y - arm, x, y + arm);
    }

    private void line(double x0, double y0, double x1, double y1) throws XMLStreamException {
        xml.writeEmptyElement("line");
        xml.writeAttribute("x1", number(x0));
        xml.writeAttribute("y1", number(y0));
        xml.writeAttribute("x2", number(x1));
        xml.writeAttribute("y2", number(y1));
    }

    private static String number(double mm) {
        return BigDecimal.valueOf(mm).setScale(5, RoundingMode.HALF_EVEN).stripTrailingZeros().toPlainString();
    }
}
