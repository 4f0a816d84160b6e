package neatlanyard.formats.sop;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.sop.Condition;
import neatlanyard.formats.text.Doc;

/** Writes a condition as {@link ConditionReader} reads it. */
final class ConditionWriter {
  private ConditionWriter() {}

  /** Empty for a step that always applies. */
  static Optional<Map<String, Object>> tree(Condition c) {
    return c instanceof Condition.Always ? Optional.empty() : Optional.of(of(c));
  }

  private static Map<String, Object> of(Condition c) {
    return switch (c) {
      case Condition.Always a -> new LinkedHashMap<>();
      case Condition.Fitted f -> one("fitted", f.equipment().value());
      case Condition.OfSubType s -> one("sub-type", s.subType().value());
      case Condition.OnTail t -> one("tail", t.tail().value());
      case Condition.Follows f -> one("school", Doc.written(f.school()));
      case Condition.Dark d -> one("dark", true);
      case Condition.ColderThan t -> one("colder-than", t.celsius());
      case Condition.WindAbove w -> one("wind-above", w.kt());
      case Condition.VisibilityBelow v -> one("visibility-below", v.metres());
      case Condition.Weather w -> one("weather", Doc.written(w.sky()));
      case Condition.Is is -> one(Doc.written(is.what()), true);
      case Condition.From f -> one("from", f.airfield().value());
      case Condition.To t -> one("to", t.airfield().value());
      case Condition.MeasuredBelow m -> {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("quantity", m.quantity().id().value());
        fields.put("unit", Doc.written(m.quantity().unit()));
        fields.put("limit", m.limit());
        yield one("measured-below", fields);
      }
      case Condition.Not(Condition.Is is) -> one(Doc.written(is.what()), false);
      case Condition.Not(Condition.Dark d) -> one("dark", false);
      case Condition.Not not -> one("not", of(not.of()));
      case Condition.All all -> one("all", several(all.of()));
      case Condition.Any any -> one("any", several(any.of()));
    };
  }

  private static List<Map<String, Object>> several(List<Condition> of) {
    return of.stream().map(ConditionWriter::of).toList();
  }

  private static Map<String, Object> one(String name, Object value) {
    Map<String, Object> one = new LinkedHashMap<>();
    one.put(name, value);
    return one;
  }
}
