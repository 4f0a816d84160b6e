package neatlanyard.core.sop;

import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.Code;

/**
 * How something looks, such as a wear pin that is flush: drawn in lines, or a photo.
 *
 * @param title what it shows, in words
 * @param width and {@code height}, of the field that the shapes are drawn in, or of the photo in pixels
 * @param shapes none where it is a photo
 * @param photo a JPEG in base64; empty where it is drawn
 */
public record Drawing(String id, String title, double width, double height, List<Shape> shapes, String photo) {
  public Drawing {
    shapes = List.copyOf(shapes);
  }

  /** One line or area of it. @param measures by their names, such as "cx"; all of them numbers or path data */
  public record Shape(Form form, Map<String, String> measures, Tone tone) {
    public Shape {
      measures = Map.copyOf(measures);
    }
  }

  /** What a shape is, by the names of SVG 1.1, section 9. */
  public enum Form implements Code {
    PATH(List.of("d")),
    LINE(List.of("x1", "y1", "x2", "y2")),
    RECT(List.of("x", "y", "width", "height", "rx")),
    CIRCLE(List.of("cx", "cy", "r")),
    ELLIPSE(List.of("cx", "cy", "rx", "ry")),
    POLYLINE(List.of("points")),
    POLYGON(List.of("points"));

    private final List<String> measures;

    Form(List<String> measures) {
      this.measures = measures;
    }

    /** What it is given by. */
    public List<String> measures() {
      return measures;
    }
  }

  /** How a line stands out; the theme gives each its colour. */
  public enum Tone implements Code {
    INK,
    /** What is only there for orientation. */
    SOFT,
    /** What is wrong. */
    WARN,
    /** An area filled with ink. */
    FILL
  }
}
