package neatlanyard.core.sop;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;

/** What the pack says for this tail, these seats and this day, with the reason for each step put in or left out. */
public final class Card {
  /** One procedure of the card. */
  public record Part(Procedure procedure, List<Item> items) {
    public Part {
      items = List.copyOf(items);
    }
  }

  /**
   * One step of the card.
   *
   * @param seats who must answer; never empty
   * @param added why it is on today's card; empty for a step that always is
   */
  public record Item(Step step, Procedure procedure, Set<Seat> seats, String added) {
    public Item {
      seats = Set.copyOf(seats);
    }
  }

  /** A step that is not on today's card, and why. */
  public record LeftOut(Step step, Procedure procedure, String why) {}

  private final Pack pack;
  private final Day day;
  private final List<Part> parts;
  private final List<LeftOut> leftOut;
  private final Map<StepId, Item> items;

  private Card(Pack pack, Day day, List<Part> parts, List<LeftOut> leftOut) {
    this.pack = pack;
    this.day = day;
    this.parts = List.copyOf(parts);
    this.leftOut = List.copyOf(leftOut);
    this.items = new LinkedHashMap<>();
    parts.forEach(p -> p.items().forEach(i -> items.put(i.step().id(), i)));
  }

  /** Cuts the card. A procedure of which nothing is left is not on it. */
  public static Card cut(Pack pack, Tail tail, Seat flying, Day day) {
    List<Part> parts = new ArrayList<>();
    List<LeftOut> leftOut = new ArrayList<>();
    for (Procedure procedure : pack.procedures()) {
      List<Item> items = new ArrayList<>();
      for (Step step : procedure.steps()) {
        Condition.Answer answer = step.when().ask(tail.equipment(), day);
        if (answer.holds()) {
          items.add(new Item(step, procedure, step.owner().seats(flying), answer.words()));
        } else {
          leftOut.add(new LeftOut(step, procedure, answer.words()));
        }
      }
      if (!items.isEmpty()) {
        parts.add(new Part(procedure, items));
      }
    }
    return new Card(pack, day, parts, leftOut);
  }

  public Pack pack() {
    return pack;
  }

  public Day day() {
    return day;
  }

  public List<Part> parts() {
    return parts;
  }

  public List<LeftOut> leftOut() {
    return leftOut;
  }

  public Optional<Item> item(StepId id) {
    return Optional.ofNullable(items.get(id));
  }

  public Optional<Part> part(ProcedureId id) {
    return parts.stream().filter(p -> p.procedure().id().equals(id)).findFirst();
  }
}
