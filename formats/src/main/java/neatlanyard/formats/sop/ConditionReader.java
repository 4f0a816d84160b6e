package neatlanyard.formats.sop;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.School;
import neatlanyard.core.units.Unit;
import neatlanyard.formats.text.Doc;

/** Reads a step's {@code when}: one field a condition, such as {@code {colder-than: 3}}. */
public final class ConditionReader {
  private static final Condition ALWAYS = new Condition.Always();
  private static final Quantity NO_QUANTITY = new Quantity(new QuantityId("x"), "x", Unit.COUNT);
  private static final Map<String, Circumstance> CIRCUMSTANCES =
      Arrays.stream(Circumstance.values()).collect(Collectors.toMap(Doc::written, c -> c));
  private static final String KNOWN =
      "fitted, sub-type, tail, school, dark, colder-than, wind-above, visibility-below, weather, "
      + Arrays.stream(Circumstance.values()).map(Doc::written).collect(Collectors.joining(", "))
      + ", from, to, measured-below, not, all, any";

  private final boolean strict;
  private final Set<Equipment> equipment;
  private final Set<SubTypeId> subTypes;
  private final Set<TailId> tails;
  private final Map<QuantityId, Quantity> quantities;

  /** What a pack declares, to which its conditions may refer. */
  ConditionReader(Set<Equipment> equipment, Set<SubTypeId> subTypes, Set<TailId> tails,
      Map<QuantityId, Quantity> quantities) {
    this(equipment, subTypes, tails, quantities, true);
  }

  private ConditionReader(
      Set<Equipment> equipment, Set<SubTypeId> subTypes, Set<TailId> tails, Map<QuantityId, Quantity> quantities,
      boolean strict) {
    this.strict = strict;
    this.equipment = equipment;
    this.subTypes = subTypes;
    this.tails = tails;
    this.quantities = new HashMap<>(quantities);
  }

  /** For conditions outside a pack, which may name any equipment, sub-type or tail, and no quantity. */
  public static ConditionReader undeclared() {
    return new ConditionReader(Set.of(), Set.of(), Set.of(), Map.of(), false);
  }

  public Condition read(Doc step) {
    return step.has("when") ? step.inner("when", this::condition).orElse(ALWAYS) : ALWAYS;
  }

  private Condition condition(Doc doc) {
    Set<String> names = doc.names();
    if (names.size() != 1) {
      doc.fault(names.stream().findFirst().orElse(""), "A condition has one field; join several by 'all' or 'any'.");
      return ALWAYS;
    }
    String name = names.iterator().next();
    return switch (name) {
      case "fitted" ->
          new Condition.Fitted(known(doc, name, doc.of(name, Equipment::new, "x1"), equipment, "equipment"));
      case "sub-type" ->
          new Condition.OfSubType(known(doc, name, doc.of(name, SubTypeId::new, "x"), subTypes, "sub-type"));
      case "tail" -> new Condition.OnTail(known(doc, name, doc.of(name, TailId::new, "XX"), tails, "tail"));
      case "school" -> new Condition.Follows(doc.one(name, School.class));
      case "dark" -> yesOrNot(doc, name, new Condition.Dark());
      case "colder-than" -> new Condition.ColderThan(doc.whole(name, -80, 60));
      case "wind-above" -> new Condition.WindAbove(doc.whole(name, 0, 150));
      case "visibility-below" -> new Condition.VisibilityBelow(doc.whole(name, 0, 10_000));
      case "weather" -> new Condition.Weather(doc.one(name, Condition.Weather.Sky.class));
      case "from" -> new Condition.From(doc.of(name, AirfieldId::new, "QXXX"));
      case "to" -> new Condition.To(doc.of(name, AirfieldId::new, "QXXX"));
      case "measured-below" -> doc.inner(name, this::measured).orElse(ALWAYS);
      case "not" -> new Condition.Not(doc.inner(name, this::condition).orElse(ALWAYS));
      case "all" -> new Condition.All(several(doc, name));
      case "any" -> new Condition.Any(several(doc, name));
      default -> Optional.ofNullable(CIRCUMSTANCES.get(name))
          .map(c -> yesOrNot(doc, name, new Condition.Is(c)))
          .orElseGet(() -> {
            doc.fault(name, "'%s' is not a condition; known are: %s.".formatted(name, KNOWN));
            return ALWAYS;
          });
    };
  }

  private <T> T known(Doc doc, String field, T id, Set<T> declared, String what) {
    if (strict && !declared.contains(id)) {
      doc.fault(field, "The pack declares no %s '%s'.".formatted(what, id));
    }
    return id;
  }

  private Condition measured(Doc doc) {
    Quantity quantity = quantity(doc);
    return new Condition.MeasuredBelow(quantity, doc.number("limit", -1e6, 1e6));
  }

  /** The quantity a thing with fields names, in the unit it names, which must be the declared one. */
  Quantity quantity(Doc doc) {
    QuantityId id = doc.of("quantity", QuantityId::new, "x");
    Unit unit = doc.one("unit", Unit.class);
    Quantity quantity = quantities.get(id);
    if (quantity == null) {
      doc.fault("quantity", "The pack declares no quantity '%s'.".formatted(id));
      return NO_QUANTITY;
    }
    if (quantity.unit() != unit) {
      doc.fault("unit", "'%s' is declared in %s, not in %s.".formatted(id, Doc.written(quantity.unit()),
          Doc.written(unit)));
    }
    return quantity;
  }

  private static Condition yesOrNot(Doc doc, String name, Condition condition) {
    return doc.yes(name, true) ? condition : new Condition.Not(condition);
  }

  private List<Condition> several(Doc doc, String name) {
    List<Condition> several = doc.list(name, this::condition);
    if (several.size() < 2) {
      doc.fault(name, "'%s' wants at least two conditions.".formatted(name));
    }
    return several;
  }
}
