package neatlanyard.core.departure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import neatlanyard.core.departure.Departure.Said;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Handovers;
import neatlanyard.core.sop.StepId;

/**
 * What people say beside the steps: gates passed, times seen over, tags by hand, being called away, panels handed
 * over.
 */
public final class Beside {
  private final Map<StepId, Said<Event.Overridden>> overrides = new LinkedHashMap<>();
  private final Map<StepId, Long> waitsSeen = new HashMap<>();
  private final Map<UUID, Said<Event.TagHung>> hung = new LinkedHashMap<>();
  private final List<Interruption> interruptions = new ArrayList<>();
  private Handovers handovers = Handovers.NONE;

  private final Map<StepId, Said<Event.ValueSaid>> values = new HashMap<>();
  private final List<Said<Event.AircraftRead>> aircraft = new ArrayList<>();
  private final Map<StepId, Again.Why> changed = new HashMap<>();
  private final Map<StepId, Long> takenBack = new HashMap<>();

  Beside() {}

  Beside(Beside before) {
    overrides.putAll(before.overrides);
    waitsSeen.putAll(before.waitsSeen);
    hung.putAll(before.hung);
    interruptions.addAll(before.interruptions);
    handovers = before.handovers;
    values.putAll(before.values);
    aircraft.addAll(before.aircraft);
    changed.putAll(before.changed);
    takenBack.putAll(before.takenBack);
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

  void handedOver(Event.PanelHandedOver e, Entry entry) {
    entry.seat().ifPresent(from -> handovers = handovers.with(e.panel(), from, e.to()));
  }

  /** A step that is taken back takes with it what was said to do it. */
  void takenBack(StepId step, long number) {
    overrides.remove(step);
    values.remove(step);
    takenBack.put(step, number);
  }

  void valueSaid(Event.ValueSaid e, Entry entry) {
    values.put(e.step(), said(e, entry));
  }

  void aircraftRead(Event.AircraftRead e, Entry entry) {
    aircraft.add(said(e, entry));
  }

  /** What a new card has made untrue of answers given. */
  void changed(Map<StepId, String> words, long number) {
    words.forEach((step, w) -> changed.put(step, new Again.Why(number, w)));
  }

  private static <E extends Event> Said<E> said(E event, Entry entry) {
    return new Said<>(event, entry.by(), entry.happened(), entry.number());
  }

  /** The steps that somebody has given words to go past what keeps them closed. */
  public Set<StepId> passed() {
    return Set.copyOf(overrides.keySet());
  }

  /** What was said to go past the gates of a step; empty where nobody did. */
  public Optional<Said<Event.Overridden>> override(StepId step) {
    return Optional.ofNullable(overrides.get(step));
  }

  /** Number of the entry by which somebody saw the wait of a step over; 0 before. */
  long waitSeen(StepId step) {
    return waitsSeen.getOrDefault(step, 0L);
  }

  /** What was said of a step that wants a value. */
  public Optional<Said<Event.ValueSaid>> value(StepId step) {
    return Optional.ofNullable(values.get(step));
  }

  /** What the aircraft's own data said, the first first. */
  public List<Said<Event.AircraftRead>> aircraft() {
    return List.copyOf(aircraft);
  }

  /** Answers that a new card has made untrue, whether or not they were given again since. */
  Map<StepId, Again.Why> changed() {
    return Map.copyOf(changed);
  }

  /** Number of the entry by which somebody last took back what they said of a step; 0 before. */
  long takenBack(StepId step) {
    return takenBack.getOrDefault(step, 0L);
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

  /** Who works what of which panel now. */
  Handovers handovers() {
    return handovers;
  }
}
