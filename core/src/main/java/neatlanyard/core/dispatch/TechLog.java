package neatlanyard.core.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Role;

/** A tail's technical log: its defects as the lines say. */
public final class TechLog {
  /** Longest note, in characters. */
  public static final int MOST_WORDS = 2_000;

  private final Map<UUID, Defect> defects;

  private TechLog(Map<UUID, Defect> defects) {
    this.defects = defects;
  }

  /** Lines of one tail, the oldest first. A line about a defect that was never raised is passed over. */
  public static TechLog of(List<TechEntry> lines) {
    Map<UUID, Defect> defects = new LinkedHashMap<>();
    for (TechEntry line : lines) {
      if (line.act() instanceof TechAct.Raised r) {
        defects.putIfAbsent(r.defect(), Defect.raised(line, r));
      } else {
        defects.computeIfPresent(line.act().defect(), (id, d) -> d.with(line));
      }
    }
    return new TechLog(defects);
  }

  /** Every defect, the oldest first. */
  public List<Defect> all() {
    return List.copyOf(defects.values());
  }

  public Optional<Defect> defect(UUID id) {
    return Optional.ofNullable(defects.get(id));
  }

  /** Those that wait under an entry of the list. */
  public List<Deferral> deferrals(DispatchList list, ZoneId zone) {
    return defects.values().stream().filter(d -> !d.cleared())
        .flatMap(d -> d.deferred().stream().map(t -> deferral(d, t, list, zone))).toList();
  }

  private static Deferral deferral(Defect d, Defect.Terms t, DispatchList list, ZoneId zone) {
    Optional<DispatchList.Entry> e = list.entry(t.entry());
    return new Deferral(
        d.id(), t.entry(), e.map(DispatchList.Entry::title).orElse("(not in the list in force)"), d.raised().what(),
        d.raised().place(),
        t.count(), t.lastDay(), zone, e.map(DispatchList.Entry::operating).orElse(""),
        e.map(DispatchList.Entry::placard).orElse(""),
        e.map(DispatchList.Entry::belowFt).orElse(java.util.OptionalInt.empty()), e.map(DispatchList.Entry::adds)
        .orElse(List.of()), "");
  }

  /**
   * Why a line may not be written; empty when it may.
   *
   * @param role whoever writes it
   * @param zone the operator's
   */
  public Optional<Refusal> refusal(TechAct act, Role role, DispatchList list, Instant at, ZoneId zone) {
    if (role != Role.MAINTENANCE) {
      return no(RefusalCode.MAINTENANCE_ONLY,
          "Only maintenance control clears, defers or extends.", "Ask maintenance control.");
    }
    Optional<Defect> known = defect(act.defect());
    if (act instanceof TechAct.Raised r) {
      return known.isPresent() ? no(RefusalCode.DEFECT_EXISTS, "That defect is in the log already.", "Reload the log.")
          : words(r.what());
    }
    if (known.isEmpty()) {
      return no(RefusalCode.NO_SUCH_DEFECT, "There is no such defect in this log.", "Reload the log.");
    }
    if (known.get().cleared()) {
      return no(RefusalCode.CLEARED, "It is cleared already.", "Write a new defect if it is there again.");
    }
    return switch (act) {
      case TechAct.Raised r -> Optional.empty();
      case TechAct.Cleared c -> words(c.words());
      case TechAct.Deferred d -> deferred(known.get(), d, list, zone).or(() -> words(d.words()));
      case TechAct.Extended e -> extended(known.get(), e, list, at, zone).or(() -> words(e.words()));
    };
  }

  private static Optional<Refusal> deferred(Defect defect, TechAct.Deferred d, DispatchList list, ZoneId zone) {
    Optional<DispatchList.Entry> entry = list.entry(d.entry());
    if (entry.isEmpty()) {
      return no(RefusalCode.NO_SUCH_ENTRY,
          "The list has no entry %s.".formatted(d.entry()), "Choose one of the list.");
    }
    int most = entry.get().mayBeOut();
    if (d.count() < 1 || d.count() > most) {
      return no(RefusalCode.TOO_MANY_OUT,
          "%s allows %d of %d to be out, not %d.".formatted(d.entry(), most, entry.get()
          .installed(), d.count()), "Have it mended.");
    }
    LocalDate last = entry.get().lastDay(defect.first().at(), zone);
    return d.lastDay().isAfter(last)
        ? no(RefusalCode.TOO_LONG,
            "Category %s lets it wait until the end of %s.".formatted(entry.get().category(), last),
        "Give that day or an earlier one.")
        : Optional.empty();
  }

  private static Optional<Refusal> extended(Defect defect, TechAct.Extended e, DispatchList list, Instant at,
      ZoneId zone) {
    if (defect.deferred().isEmpty()) {
      return no(RefusalCode.NOT_DEFERRED, "It is not deferred, so there is nothing to extend.", "Defer it first.");
    }
    Defect.Terms terms = defect.deferred().get();
    Optional<DispatchList.Entry> entry = list.entry(terms.entry());
    if (entry.isEmpty() || !entry.get().category().mayBeExtended()) {
      return no(RefusalCode.NOT_EXTENDED, "Category %s is not extended.".formatted(entry.map(x -> x.category().name())
          .orElse("unknown")), "Have it mended by the end of %s.".formatted(terms.lastDay()));
    }
    if (terms.extended() > 0) {
      return no(RefusalCode.EXTENDED_ONCE, "It was extended once already.",
          "Have it mended by the end of %s.".formatted(terms.lastDay()));
    }
    if (LocalDate.ofInstant(at, zone).isAfter(terms.lastDay())) {
      return no(RefusalCode.RUN_OUT,
          "It ran out at the end of %s; what has run out is not extended.".formatted(terms.lastDay()),
          "Have it mended.");
    }
    LocalDate last = terms.lastDay().plusDays(entry.get().category().days());
    return e.lastDay().isAfter(last) || !e.lastDay().isAfter(terms.lastDay())
        ? no(RefusalCode.WRONG_DAY, "It may be extended until the end of %s at the latest.".formatted(last),
        "Give a day after %s, up to that one.".formatted(terms.lastDay()))
        : Optional.empty();
  }

  private static Optional<Refusal> words(String words) {
    return words.isBlank() || words.length() > MOST_WORDS
        ? no(RefusalCode.WORDS_MISSING, "It wants a few words, %d characters at most.".formatted(MOST_WORDS),
        "Say what was done, or why.")
        : Optional.empty();
  }

  private static Optional<Refusal> no(RefusalCode code, String what, String tryThis) {
    return Optional.of(new Refusal(code, what, tryThis));
  }
}
