package neatlanyard.core.departure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.departure.Departure.Said;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;

/** What people say beside the steps: gates passed, times seen over, tags by hand, being called away, panels handed over. */
public final class Beside {
  private final Map<StepId, Said<Event.Overridden>> overrides = new LinkedHashMap<>();
  private final Map<StepId, Long> waitsSeen = new HashMap<>();
  private final Map<UUID, Said<Event.TagHung>> hung = new LinkedHashMap<>();
  private final List<Interruption> interruptions = new ArrayList<>();
  private final Map<PlaceId, Seat> handedOver = new HashMap<>();

  Beside() {}

  Beside(Beside before) {
    overrides.putAll(before.overrides);
    waitsSeen.putAll(before.waitsSeen);
    hung.putAll(before.hung);
    interruptions.addAll(before.interruptions);
    handedOver.putAll(before.handedOver);
  }

  void overridden(Event.Overridden e, Entry entry) {
    overrides.put(e.step(), said(e, entry));
  }

  void waitSeen(Event.WaitSeen e, Entry entry) {
    waitsSeen.put(e.step(), entry.number());
  }

  void hung(Event.TagHung e, Entry entry) {
    hung.put(e.tag(), said(e, entry));
  }

  void taken(Event.TagTaken e) {
    hung.remove(e.tag());
  }

  void calledAway(Entry entry) {
    interruptions.add(new Interruption(entry.by(), entry.seat(), entry.happened(), Optional.empty(), entry.number()));
  }

  void wentOn(Entry entry) {
    Instant to = entry.happened();
    interruptions.replaceAll(i -> i.by().equals(entry.by()) && i.to().isEmpty()
        ? new Interruption(i.by(), i.seat(), i.from(), Optional.of(to), i.number()) : i);
  }

  void handedOver(Event.PanelHandedOver e) {
    handedOver.put(e.panel(), e.to());
  }

  /** A step that is taken back takes with it what was said to do it. */
  void forget(StepId step) {
    overrides.remove(step);
  }

  private static <E extends Event> Said<E> said(E event, Entry entry) {
    return new Said<>(event, entry.by(), entry.happened(), entry.number());
  }

  /** What was said to go past the gates of a step; empty where nobody did. */
  public Optional<Said<Event.Overridden>> override(StepId step) {
    return Optional.ofNullable(overrides.get(step));
  }

  /** Number of the entry by which somebody saw the wait of a step over; 0 before. */
  long waitSeen(StepId step) {
    return waitsSeen.getOrDefault(step, 0L);
  }

  /** The tags that were hung by hand and hang still. */
  public Collection<Said<Event.TagHung>> hung() {
    return List.copyOf(hung.values());
  }

  /** Every interruption, the first first. */
  public List<Interruption> interruptions() {
    return List.copyOf(interruptions);
  }

  /** Who was called away and has not gone on. */
  public Optional<Interruption> interrupted(CrewId who) {
    return interruptions.stream().filter(i -> i.by().equals(who) && i.to().isEmpty()).findFirst();
  }

  /** Who works a panel now, where it is not who the pack says. */
  Map<PlaceId, Seat> handedOver() {
    return Map.copyOf(handedOver);
  }
}
