package neatlanyard.formats.sop;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import neatlanyard.core.sop.Drawing;
import neatlanyard.core.sop.Drawing.Form;
import neatlanyard.core.sop.Drawing.Shape;
import neatlanyard.core.sop.Drawing.Tone;
import neatlanyard.formats.text.Doc;

/**
 * Reads the drawings of a pack: SVG of nothing but lines and areas, so that it can do nothing but be seen. No links,
 * no scripts, no styles and no entities; see docs/formats/pack.md.
 */
final class DrawingReader {
  static final int MOST_DRAWINGS = 200;
  static final int MOST_PHOTOS = 20;
  private static final int MOST_CHARACTERS = 10_000;
  private static final int MOST_SHAPES = 120;
  private static final double MOST_SIDE = 2_000;
  private static final String NUMBER = "-?(\\d{1,5}(\\.\\d{1,4})?|\\.\\d{1,4})";
  private static final String MANY_NUMBERS = "[MmLlHhVvCcSsQqTtAaZz0-9.,\\s-]{1,4000}";

  private final Doc doc;
  private final List<Shape> shapes = new ArrayList<>();
  private double width = 1;
  private double height = 1;

  private DrawingReader(Doc doc) {
    this.doc = doc;
  }

  static Drawing read(Doc doc) {
    String id = doc.text("id");
    if (!id.isEmpty() && !id.matches("[a-z][a-z0-9-]{0,39}")) {
      doc.fault("id", "'%s' is no name: small letters, digits and hyphens, at most 40.".formatted(id));
    }
    DrawingReader reader = new DrawingReader(doc);
    if (doc.has("photo")) {
      return photo(doc, id);
    }
    String svg = doc.text("svg");
    if (svg.length() > MOST_CHARACTERS) {
      doc.fault("svg", "A drawing has at most %d characters; this has %d.".formatted(MOST_CHARACTERS, svg.length()));
    } else if (!svg.isEmpty()) {
      reader.svg(svg);
    }
    return new Drawing(id, doc.text("title"), reader.width, reader.height, reader.shapes, "");
  }

  private static Drawing photo(Doc doc, String id) {
    String base64 = doc.text("photo");
    PhotoFile.Read read = PhotoFile.read(base64);
    if (!read.fault().isEmpty()) {
      doc.fault("photo", read.fault());
    }
    if (doc.has("svg")) {
      doc.fault("svg", "It is drawn or it is a photo, not both.");
    }
    PhotoFile photo = read.photo().orElse(new PhotoFile(1, 1));
    return new Drawing(id, doc.text("title"), photo.width(), photo.height(), List.of(), base64);
  }

  private void svg(String text) {
    XMLInputFactory factory = XMLInputFactory.newInstance();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    try {
      XMLStreamReader xml = factory.createXMLStreamReader(new StringReader(text));
      boolean begun = false;
      while (xml.hasNext() && shapes.size() <= MOST_SHAPES) {
        switch (xml.next()) {
          case XMLStreamConstants.START_ELEMENT -> {
            if (begun) {
              shape(xml);
            } else {
              begun = true;
              field(xml);
            }
          }
          case XMLStreamConstants.END_ELEMENT, XMLStreamConstants.END_DOCUMENT, XMLStreamConstants.SPACE -> { }
          case XMLStreamConstants.CHARACTERS -> {
            if (!xml.isWhiteSpace()) {
              doc.fault("svg", "A drawing has no text of its own; its 'title' says what it shows.");
            }
          }
          default -> doc.fault("svg", "A drawing has lines and areas, and nothing else.");
        }
      }
      xml.close();
    } catch (XMLStreamException e) {
      doc.fault("svg", "It is no SVG: line %d of it.".formatted(e.getLocation() == null ? 1
          : e.getLocation().getLineNumber()));
    }
    if (shapes.size() > MOST_SHAPES) {
      doc.fault("svg", "A drawing has at most %d shapes.".formatted(MOST_SHAPES));
    }
  }

  /** @param xml at the outermost element */
  private void field(XMLStreamReader xml) {
    String box = xml.getAttributeValue(null, "viewBox");
    boolean good = xml.getLocalName().equals("svg") && xml.getAttributeCount() == 1 && box != null
        && box.matches("0 0 %s %s".formatted(NUMBER, NUMBER));
    if (good) {
      String[] sides = box.split(" ");
      width = Double.parseDouble(sides[2]);
      height = Double.parseDouble(sides[3]);
      good = width > 0 && height > 0 && width <= MOST_SIDE && height <= MOST_SIDE;
    }
    if (!good) {
      doc.fault("svg", "It begins with <svg viewBox=\"0 0 WIDTH HEIGHT\"> and no other attribute, at most %.0f a side."
          .formatted(MOST_SIDE));
    }
  }

  private void shape(XMLStreamReader xml) {
    String name = xml.getLocalName();
    Form form = null;
    for (Form f : Form.values()) {
      form = f.written().equals(name) ? f : form;
    }
    if (form == null) {
      doc.fault("svg", "<%s> is not drawn here; known are: %s.".formatted(cut(name), List.of(Form.values()).stream()
          .map(Form::written).collect(Collectors.joining(", "))));
      return;
    }
    Map<String, String> measures = new HashMap<>();
    Tone tone = Tone.INK;
    for (int i = 0; i < xml.getAttributeCount(); i++) {
      String attribute = xml.getAttributeLocalName(i);
      String value = xml.getAttributeValue(i);
      if (attribute.equals("class")) {
        tone = tone(value);
      } else if (!form.measures().contains(attribute)) {
        doc.fault("svg", "<%s> has '%s', which is not drawn here; it may have: class, %s.".formatted(name,
            cut(attribute), String.join(", ", form.measures())));
      } else if (!value.matches(attribute.equals("d") || attribute.equals("points") ? MANY_NUMBERS : NUMBER)) {
        doc.fault("svg", "'%s' of a <%s> is no measure: %s.".formatted(attribute, name, cut(value)));
      } else {
        measures.put(attribute, value);
      }
    }
    shapes.add(new Shape(form, measures, tone));
  }

  private Tone tone(String written) {
    for (Tone t : Tone.values()) {
      if (t.written().equals(written)) {
        return t;
      }
    }
    doc.fault("svg", "'%s' is no class here; known are: %s.".formatted(cut(written), List.of(Tone.values()).stream()
        .map(Tone::written).collect(Collectors.joining(", "))));
    return Tone.INK;
  }

  private static String cut(String words) {
    return words.length() > 40 ? words.substring(0, 40) + "…" : words;
  }

  /** As it is read again. */
  static String svg(Drawing d) {
    String all = d.shapes().stream().map(DrawingReader::written).collect(Collectors.joining());
    return "<svg viewBox=\"0 0 %s %s\">%s</svg>".formatted(PackWriter.number(d.width()), PackWriter.number(d.height()),
        all);
  }

  private static String written(Shape s) {
    String measures = s.form().measures().stream().filter(s.measures()::containsKey)
        .map(m -> " %s=\"%s\"".formatted(m, s.measures().get(m))).collect(Collectors.joining());
    String tone = s.tone() == Tone.INK ? "" : " class=\"%s\"".formatted(s.tone().written());
    return "<%s%s%s/>".formatted(s.form().written(), measures, tone);
  }
}
