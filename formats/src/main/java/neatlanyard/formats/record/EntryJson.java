package neatlanyard.formats.record;

import java.time.DateTimeException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.record.Chain;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.StepId;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.PropertyNamingStrategies;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.node.ObjectNode;

/** Log entries as canonical JSON, each with its hash and that of the entry before it; see docs/formats/record.md. */
public final class EntryJson {
  private static final Map<String, Class<? extends Event>> KINDS =
      Arrays.stream(Event.class.getPermittedSubclasses())
          .collect(Collectors.toMap(c -> kind(c.getSimpleName()), c -> c.asSubclass(Event.class)));

  private static final JsonMapper MAPPER = mapper();

  private EntryJson() {}

  /** What an earlier version did not write, by kind; it is read as this. */
  private static final Map<String, String> UNSAID = Map.of(
      "controls-checked", "{\"judgement\":{\"missing\":[],\"suggestions\":[]}}",
      "day-set", "{\"day\":{\"report\":{\"ranges\":[],\"trends\":[],\"wind\":{\"sector\":null}}}}",
      "figures-worked", "{\"worked\":{\"texts\":[],\"thrust\":null}}",
      "find-raised", "{\"what\":{\"severity\":\"defect\",\"count\":1,\"entry\":null,\"spot\":null,\"photos\":[]}}",
      "flight-facts", "{\"facts\":{\"departing\":null,\"ground\":null,\"left\":null,\"runs\":[],"
          + "\"latitude-deg\":null}}",
      "load-sheet-taken", "{\"sheet\":{\"change\":{\"passengers\":{},\"holds-kg\":{}}}}",
      "opened", "{\"flight\":{\"level\":null,\"remark\":\"\",\"arrival\":null}}",
      "tag-hung", "{\"calls\":null}",
      "verdict-taken", "{\"proposed\":null}");

  private static String kind(String simpleName) {
    return simpleName.replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase(Locale.ROOT);
  }

  /** The mapper that writes core's types for the record: kebab-case names, identifiers as plain text. */
  private static JsonMapper mapper() {
    SimpleModule ids = new SimpleModule("identifiers");
    id(ids, AirfieldId.class, AirfieldId::new);
    id(ids, CrewId.class, CrewId::new);
    id(ids, Equipment.class, Equipment::new);
    id(ids, EntryId.class, EntryId::new);
    id(ids, FlightId.class, FlightId::new);
    id(ids, PackId.class, PackId::new);
    id(ids, PlaceId.class, PlaceId::new);
    id(ids, PointId.class, PointId::new);
    id(ids, ProcedureId.class, ProcedureId::new);
    id(ids, QuantityId.class, QuantityId::new);
    id(ids, StepId.class, StepId::new);
    id(ids, SubTypeId.class, SubTypeId::new);
    id(ids, TailId.class, TailId::new);
    id(ids, TypeId.class, TypeId::new);
    id(ids, RunwayName.class, RunwayName::new);
    text(ids, Thrust.class, Thrust::code, Thrust::of);
    return JsonMapper.builder()
        .addModule(ids)
        .propertyNamingStrategy(PropertyNamingStrategies.KEBAB_CASE)
        .enable(EnumFeature.WRITE_ENUMS_TO_LOWERCASE)
        .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
        .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
        .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
        .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
        .enable(tools.jackson.databind.MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
        .build();
  }

  private static <T extends Record> void id(SimpleModule module, Class<T> type, Function<String, T> of) {
    text(module, type, Object::toString, of);
  }

  private static <T> void text(
      SimpleModule module, Class<T> type, Function<T, String> written, Function<String, T> of) {
    module.addSerializer(type, new ValueSerializer<T>() {
      @Override
      public void serialize(T value, JsonGenerator out, SerializationContext context) {
        out.writeString(written.apply(value));
      }
    });
    module.addDeserializer(type, new ValueDeserializer<T>() {
      @Override
      public T deserialize(JsonParser in, DeserializationContext context) {
        try {
          return of.apply(in.getString());
        } catch (IllegalArgumentException e) {
          return context.reportInputMismatch(type, "%s", e.getMessage());
        }
      }
    });
  }

  /** An entry as it is kept. @param json canonical, with hash and previous hash in it */
  public record HashedEntry(String json, String hash) {}

  /** Writes an entry behind the one with the hash {@code previous}. */
  public static HashedEntry write(Entry entry, String previous) {
    ObjectNode node = MAPPER.createObjectNode();
    node.put("number", entry.number());
    node.put("id", entry.id().toString());
    node.put("at", entry.at().toString());
    node.put("device-at", entry.deviceAt().toString());
    node.put("by", entry.by().value());
    entry.seat().ifPresent(s -> node.put("seat", s.name().toLowerCase(Locale.ROOT)));
    node.put("device", entry.device());
    node.put("kind", kind(entry.event()));
    node.set("body", body(entry.event()));
    node.put("previous", previous);
    String hash = Chain.sha256(Canonical.of(node.toString()));
    node.put("hash", hash);
    return new HashedEntry(Canonical.of(node.toString()), hash);
  }

  /** The kind of an event, such as "step-done". */
  public static String kind(Event event) {
    return kind(event.getClass().getSimpleName());
  }

  /** What an event says, as it is written. */
  public static JsonNode body(Event event) {
    return MAPPER.valueToTree(event);
  }

  /** Reads an entry as it was written. @throws IllegalArgumentException if it is not one */
  public static Entry read(String json) {
    try {
      JsonNode node = MAPPER.readTree(json);
      return new Entry(
          node.required("number").longValue(),
          java.util.UUID.fromString(node.required("id").stringValue()),
          java.time.Instant.parse(node.required("at").stringValue()),
          java.time.Instant.parse(node.required("device-at").stringValue()),
          new CrewId(node.required("by").stringValue()),
          Optional.ofNullable(node.get("seat"))
              .map(s -> neatlanyard.core.fleet.Seat.valueOf(s.stringValue().toUpperCase(Locale.ROOT))),
          node.required("device").stringValue(),
          event(node.required("kind").stringValue(), node.required("body")));
    } catch (JacksonException e) {
      throw new IllegalArgumentException(e.getOriginalMessage(), e);
    } catch (DateTimeException | ArithmeticException | NullPointerException e) {
      throw new IllegalArgumentException("It is not an entry: " + e.getMessage(), e);
    }
  }

  /**
   * Reads an event by its kind.
   *
   * @throws IllegalArgumentException if the kind is unknown or the body does not fit it
   */
  public static Event event(String kind, JsonNode body) {
    Class<? extends Event> type = KINDS.get(kind);
    if (type == null) {
      String known = KINDS.keySet().stream().sorted().collect(Collectors.joining(", "));
      throw new IllegalArgumentException("'%s' is not a kind of event; known are: %s.".formatted(kind, known));
    }
    try {
      return MAPPER.treeToValue(said(kind, body), type);
    } catch (JacksonException e) {
      throw new IllegalArgumentException(
          "The body of '%s' does not fit: %s".formatted(kind, e.getOriginalMessage()), e);
    } catch (DateTimeException | ArithmeticException | NullPointerException e) {
      throw new IllegalArgumentException("The body of '%s' does not fit: %s".formatted(kind, e.getMessage()), e);
    }
  }

  private static JsonNode said(String kind, JsonNode body) {
    if (!UNSAID.containsKey(kind) || !(body instanceof ObjectNode written)) {
      return body;
    }
    ObjectNode whole = written.deepCopy();
    fill(whole, MAPPER.readTree(UNSAID.get(kind)));
    if (kind.equals("controls-checked")) {
      findings(whole);
    }
    return whole;
  }

  /** A finding once only passed or not, was of one movement that stood for all, and said no uncertainty. */
  private static void findings(ObjectNode body) {
    for (JsonNode finding : body.path("judgement").path("findings")) {
      if (finding instanceof ObjectNode f && f.get("passed") instanceof JsonNode passed) {
        f.remove("passed");
        f.put("outcome", passed.booleanValue() ? "as_it_should_be" : "not_as_it_should_be");
        f.put("movement", 0);
        f.put("uncertainty", 0.0);
      }
    }
  }

  private static void fill(ObjectNode node, JsonNode unsaid) {
    unsaid.properties().forEach(p -> {
      if (node.get(p.getKey()) instanceof ObjectNode inner && p.getValue().isObject()) {
        fill(inner, p.getValue());
      } else {
        node.putIfAbsent(p.getKey(), p.getValue());
      }
    });
  }

  /** A tree of a JSON text, refusing names that stand twice. @throws IllegalArgumentException if it is not JSON */
  static JsonNode tree(String json) {
    try {
      return MAPPER.readTree(json);
    } catch (JacksonException e) {
      throw new IllegalArgumentException("It is not JSON: " + e.getOriginalMessage(), e);
    }
  }

  /** The canonical form of one entry without its own hash: what the hash is of. */
  static String hashed(ObjectNode entry) {
    ObjectNode bare = entry.deepCopy();
    bare.remove("hash");
    return Canonical.of(bare.toString());
  }
}
