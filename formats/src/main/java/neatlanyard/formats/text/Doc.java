package neatlanyard.formats.text;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.record.Characters;
import org.snakeyaml.engine.v2.api.LoadSettings;
import org.snakeyaml.engine.v2.api.lowlevel.Parse;
import org.snakeyaml.engine.v2.api.lowlevel.Compose;
import org.snakeyaml.engine.v2.common.ScalarStyle;
import org.snakeyaml.engine.v2.events.AliasEvent;
import org.snakeyaml.engine.v2.events.CollectionEndEvent;
import org.snakeyaml.engine.v2.events.CollectionStartEvent;
import org.snakeyaml.engine.v2.events.Event;
import org.snakeyaml.engine.v2.events.ScalarEvent;
import org.snakeyaml.engine.v2.exceptions.Mark;
import org.snakeyaml.engine.v2.exceptions.MarkedYamlEngineException;
import org.snakeyaml.engine.v2.exceptions.YamlEngineException;
import org.snakeyaml.engine.v2.nodes.MappingNode;
import org.snakeyaml.engine.v2.nodes.Node;
import org.snakeyaml.engine.v2.nodes.NodeTuple;
import org.snakeyaml.engine.v2.nodes.ScalarNode;
import org.snakeyaml.engine.v2.nodes.SequenceNode;

/**
 * A YAML (or JSON) document read field by field, collecting every fault with its place.
 *
 * <p>A getter that finds a fault notes it and gives a harmless stand-in, so that reading goes on to the next fault;
 * {@link #read} hands out a value only when no fault was noted. Fields nobody asked for are faults too.
 */
public final class Doc {
  /** Larger documents are refused before they are parsed. */
  public static final int MOST_CHARACTERS = 8_000_000;

  /** Several times what a pack with the most steps there may be needs; each costs a few hundred bytes while read. */
  private static final int MOST_VALUES = 500_000;
  private static final int DEEPEST = 40;
  /** More than any pack has steps: all that is wrong is said, but no text is answered with more than itself. */
  private static final int MOST_FAULTS = 5_000;

  private final Node node;
  private final String path;
  private final List<Fault> faults;
  private final Map<String, Node> fields = new LinkedHashMap<>();
  private final Set<String> asked = new HashSet<>();

  private Doc(Node node, String path, List<Fault> faults) {
    this.node = node;
    this.path = path;
    this.faults = faults;
    if (node instanceof MappingNode map) {
      for (NodeTuple tuple : map.getValue()) {
        String key = tuple.getKeyNode() instanceof ScalarNode s ? s.getValue() : "?";
        if (fields.put(key, tuple.getValueNode()) != null) {
          fault(tuple.getKeyNode(), key, "'%s' stands twice.".formatted(key));
        }
      }
    } else {
      fault(node, "", "Fields are wanted here, such as 'id: …'.");
    }
  }

  /** Reads a whole document. The reader asks for every field it knows; what is left over is a fault. */
  public static <T> Read<T> read(String text, Function<Doc, T> reader) {
    List<Fault> faults = new ArrayList<>();
    if (text.length() > MOST_CHARACTERS) {
      return new Read.Bad<>(
          List.of(new Fault(0, 0, "It has %d characters; %d is the most.".formatted(text.length(), MOST_CHARACTERS))));
    }
    try {
      // Read in one go: the library copies what it has not used yet at every further piece, which one long scalar
      // makes quadratic.
      LoadSettings settings = LoadSettings.builder().setCodePointLimit(MOST_CHARACTERS)
          .setBufferSize(text.length() + 1).build();
      guard(text, settings, faults);
      Optional<Node> root = faults.isEmpty() ? new Compose(settings).composeString(text) : Optional.empty();
      if (root.isPresent()) {
        Doc doc = new Doc(root.get(), "", faults);
        T value = reader.apply(doc);
        doc.leftOver();
        if (faults.isEmpty()) {
          return new Read.Good<>(value);
        }
      } else if (faults.isEmpty()) {
        faults.add(new Fault(0, 0, "It is empty."));
      }
    } catch (MarkedYamlEngineException e) {
      Optional<Mark> mark = e.getProblemMark();
      faults.add(new Fault(
          mark.map(m -> m.getLine() + 1).orElse(0), mark.map(m -> m.getColumn() + 1).orElse(0),
          "It is not YAML or JSON: %s.".formatted(e.getProblem())));
    } catch (YamlEngineException e) {
      faults.add(new Fault(0, 0, "It is not YAML or JSON: %s".formatted(e.getMessage())));
    }
    faults.sort(Comparator.comparingInt(Fault::line).thenComparingInt(Fault::column));
    return new Read.Bad<>(faults);
  }

  /**
   * Aliases can blow a small file up to anything, deep nesting can exhaust the stack, and millions of values the
   * memory: all are refused first.
   */
  private static void guard(String text, LoadSettings settings, List<Fault> faults) {
    int depth = 0;
    int values = 0;
    for (Event event : new Parse(settings).parseString(text)) {
      if (event instanceof AliasEvent) {
        faults.add(at(event.getStartMark(), "Aliases (*) are not allowed; write it out."));
      }
      depth += event instanceof CollectionStartEvent ? 1 : event instanceof CollectionEndEvent ? -1 : 0;
      if (depth > DEEPEST) {
        faults.add(at(event.getStartMark(), "It is nested deeper than %d levels.".formatted(DEEPEST)));
      }
      values += event instanceof ScalarEvent || event instanceof CollectionStartEvent ? 1 : 0;
      if (values > MOST_VALUES) {
        faults.add(at(event.getStartMark(), "It has more than %d values, lists and fields.".formatted(MOST_VALUES)));
      }
      if (!faults.isEmpty()) {
        return;
      }
    }
  }

  private static Fault at(Optional<Mark> mark, String what) {
    return at(mark, "", what);
  }

  private static Fault at(Optional<Mark> mark, String path, String what) {
    return new Fault(mark.map(m -> m.getLine() + 1).orElse(0), mark.map(m -> m.getColumn() + 1).orElse(0), path, what);
  }

  private void fault(Node where, String field, String what) {
    if (faults.size() > MOST_FAULTS) {
      return;
    }
    faults.add(faults.size() == MOST_FAULTS
        ? new Fault(0, 0, "More than %d faults; the others are not named.".formatted(MOST_FAULTS))
        : at(where.getStartMark(), below(field), what));
  }

  /** JSON Pointer (RFC 6901) of a field; no field here has a stroke or a tilde in its name. */
  private String below(String field) {
    return field.isEmpty() ? path : path + "/" + field;
  }

  /** Notes a fault at a field, or at the whole where the field is missing. */
  public void fault(String field, String what) {
    fault(fields.getOrDefault(field, node), field, what);
  }

  private void leftOver() {
    fields.forEach((name, value) -> {
      if (!asked.contains(name)) {
        fault(value, name, "'%s' is not a field here; known are: %s.".formatted(name, asked.stream().sorted()
            .collect(Collectors.joining(", "))));
      }
    });
  }

  public boolean has(String field) {
    asked.add(field);
    return fields.containsKey(field);
  }

  private Optional<Node> wanted(String field) {
    asked.add(field);
    Node value = fields.get(field);
    if (value == null) {
      fault(node, field, "'%s' is missing.".formatted(field));
    }
    return Optional.ofNullable(value);
  }

  private Optional<String> scalar(Node value, String field) {
    Optional<String> bad = value instanceof ScalarNode text ? Characters.fault(text.getValue()) : Optional.empty();
    if (bad.isPresent()) {
      fault(value, field, "'%s': %s".formatted(field, bad.get()));
      return Optional.empty();
    }
    if (value instanceof ScalarNode s
        && !(s.getScalarStyle() == ScalarStyle.PLAIN && (s.getValue().isEmpty() || s.getValue().equals("null")))) {
      return Optional.of(s.getValue());
    }
    fault(value, field, "'%s' wants a single value.".formatted(field));
    return Optional.empty();
  }

  /** A text that must be there and not blank. */
  public String text(String field) {
    Optional<Node> value = wanted(field);
    String text = value.flatMap(v -> scalar(v, field)).orElse("");
    if (value.isPresent() && text.isBlank()) {
      fault(field, "'%s' is blank.".formatted(field));
    }
    return text.strip();
  }

  /** The line that says which format it is. */
  public void format(String wanted) {
    String format = text("format");
    if (!format.isEmpty() && !format.equals(wanted)) {
      fault("format", "'format' is '%s'; '%s' is read here.".formatted(format, wanted));
    }
  }

  /** A text that may be left out. */
  public String text(String field, String otherwise) {
    return has(field) ? text(field) : otherwise;
  }

  /** A text turned into a small checked type. @param standIn a text that the type accepts */
  public <T> T of(String field, Function<String, T> type, String standIn) {
    return checked(field, text(field), type, standIn);
  }

  private <T> T checked(String field, String text, Function<String, T> type, String standIn) {
    if (text.isEmpty()) {
      return type.apply(standIn);
    }
    try {
      return type.apply(text);
    } catch (IllegalArgumentException | ArithmeticException | java.time.DateTimeException e) {
      fault(field, "'%s': %s.".formatted(field, e.getMessage()));
      return type.apply(standIn);
    }
  }

  /** A number within bounds. */
  public double number(String field, double least, double most) {
    String text = text(field);
    try {
      double v = text.isEmpty() ? least : Double.parseDouble(text);
      if (v >= least && v <= most) {
        return v;
      }
      fault(field, "'%s' is %s; %s to %s is allowed.".formatted(field, text, least, most));
    } catch (NumberFormatException e) {
      fault(field, "'%s' is '%s', not a number.".formatted(field, text));
    }
    return least;
  }

  public double number(String field, double least, double most, double otherwise) {
    return has(field) ? number(field, least, most) : otherwise;
  }

  /** A whole number within bounds. */
  public int whole(String field, int least, int most) {
    double v = number(field, least, most);
    if (v != Math.rint(v)) {
      fault(field, "'%s' is %s, not a whole number.".formatted(field, v));
    }
    return (int) v;
  }

  /** true or false. */
  public boolean yes(String field, boolean otherwise) {
    if (!has(field)) {
      return otherwise;
    }
    String text = text(field);
    if (!text.equals("true") && !text.equals("false")) {
      fault(field, "'%s' is '%s'; true or false is allowed.".formatted(field, text));
    }
    return text.equals("true");
  }

  /** One of an enum's names, written in lower case with hyphens. */
  public <E extends Enum<E>> E one(String field, Class<E> of) {
    return oneOf(field, text(field), of);
  }

  public <E extends Enum<E>> E one(String field, Class<E> of, E otherwise) {
    return has(field) ? one(field, of) : otherwise;
  }

  private <E extends Enum<E>> E oneOf(String field, String text, Class<E> of) {
    E[] all = of.getEnumConstants();
    for (E e : all) {
      if (written(e).equals(text)) {
        return e;
      }
    }
    if (!text.isEmpty()) {
      String known = Arrays.stream(all).map(Doc::written).collect(Collectors.joining(", "));
      fault(field, "'%s' is '%s'; known are: %s.".formatted(field, text, known));
    }
    return all[0];
  }

  /** A constant by how it is written in a document. @throws IllegalArgumentException naming those that are known */
  public static <E extends Enum<E>> E named(Class<E> of, String written) {
    return Arrays.stream(of.getEnumConstants()).filter(e -> written(e).equals(written)).findFirst()
        .orElseThrow(() -> new IllegalArgumentException("'%s' is not one of %s".formatted(written,
        Arrays.stream(of.getEnumConstants()).map(Doc::written).collect(Collectors.joining(", ")))));
  }

  /** How an enum's constant is written in a document. */
  public static String written(Enum<?> e) {
    return written(e.name());
  }

  /** The same, where only the constant's name is known. */
  public static String written(String constant) {
    return Code.written(constant);
  }

  /** The names of the fields that are there, in the order of the document. */
  public Set<String> names() {
    asked.addAll(fields.keySet());
    return Collections.unmodifiableSet(fields.keySet());
  }

  /** Fields below a field. */
  public <T> Optional<T> inner(String field, Function<Doc, T> reader) {
    return wanted(field).map(n -> within(n, below(field), reader));
  }

  /** A list of things with fields; empty when the field is not there. */
  public <T> List<T> list(String field, Function<Doc, T> reader) {
    List<Node> nodes = nodes(field);
    return IntStream.range(0, nodes.size()).mapToObj(i -> within(nodes.get(i), below(field) + "/" + i, reader))
        .toList();
  }

  /** A list of single values; empty when the field is not there. */
  public <T> List<T> values(String field, Function<String, T> type, String standIn) {
    return nodes(field).stream()
        .flatMap(n -> scalar(n, field).stream().map(s -> checked(field, s, type, standIn)))
        .toList();
  }

  /** The same where one value may stand by itself. */
  public <T> List<T> oneOrMore(String field, Function<String, T> type, String standIn) {
    return fields.get(field) instanceof ScalarNode
        ? List.of(checked(field, text(field), type, standIn)) : values(field, type, standIn);
  }

  /** A list whose members are single values or things with fields. */
  public <T> List<T> either(String field, Function<String, T> single, Function<Doc, T> reader) {
    List<Node> nodes = nodes(field);
    return IntStream.range(0, nodes.size())
        .mapToObj(i -> nodes.get(i) instanceof ScalarNode s ? single.apply(s.getValue())
        : within(nodes.get(i), below(field) + "/" + i, reader))
        .toList();
  }

  private List<Node> nodes(String field) {
    if (!has(field)) {
      return List.of();
    }
    Node value = fields.get(field);
    if (value instanceof SequenceNode list) {
      return list.getValue();
    }
    if (value != null) {
      fault(value, field, "'%s' wants a list.".formatted(field));
    }
    return List.of();
  }

  private <T> T within(Node inner, String path, Function<Doc, T> reader) {
    Doc doc = new Doc(inner, path, faults);
    T value = reader.apply(doc);
    doc.leftOver();
    return value;
  }
}
