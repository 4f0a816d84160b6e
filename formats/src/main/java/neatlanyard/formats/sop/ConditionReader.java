package neatlanyard.formats.sop;

import java.util.List;
import java.util.Set;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.sop.Condition;
import neatlanyard.formats.text.Doc;

/** Reads a step's {@code when}: one field a condition, such as {@code {colder-than: 3}}. */
final class ConditionReader {
  private static final Condition ALWAYS = new Condition.Always();

  private ConditionReader() {}

  static Condition read(Doc step) {
    return step.has("when") ? step.inner("when", ConditionReader::condition).orElse(ALWAYS) : ALWAYS;
  }

  private static Condition condition(Doc doc) {
    Set<String> names = doc.names();
    if (names.size() != 1) {
      names.stream().findFirst().ifPresent(n ->
          doc.fault(n, "A condition has one field; join several by 'all' or 'any'."));
      return ALWAYS;
    }
    String name = names.iterator().next();
    return switch (name) {
      case "fitted" -> new Condition.Fitted(doc.of(name, Equipment::new, "x1"));
      case "colder-than" -> new Condition.ColderThan(doc.whole(name, -80, 60));
      case "dark" -> yesOrNot(doc, name, new Condition.Dark());
      case "precipitation" -> yesOrNot(doc, name, new Condition.Precipitation());
      case "first-flight" -> yesOrNot(doc, name, new Condition.FirstFlight());
      case "fuelling" -> yesOrNot(doc, name, new Condition.Fuelling());
      case "after-maintenance" -> yesOrNot(doc, name, new Condition.AfterMaintenance());
      case "not" -> new Condition.Not(doc.inner(name, ConditionReader::condition).orElse(ALWAYS));
      case "all" -> new Condition.All(several(doc, name));
      case "any" -> new Condition.Any(several(doc, name));
      default -> {
        doc.fault(name, ("'%s' is not a condition; known are: fitted, colder-than, dark, precipitation, first-flight,"
            + " fuelling, after-maintenance, not, all, any.").formatted(name));
        yield ALWAYS;
      }
    };
  }

  private static Condition yesOrNot(Doc doc, String name, Condition condition) {
    return doc.yes(name, true) ? condition : new Condition.Not(condition);
  }

  private static List<Condition> several(Doc doc, String name) {
    List<Condition> several = doc.list(name, ConditionReader::condition);
    if (several.size() < 2) {
      doc.fault(name, "'%s' wants at least two conditions.".formatted(name));
    }
    return several;
  }
}
