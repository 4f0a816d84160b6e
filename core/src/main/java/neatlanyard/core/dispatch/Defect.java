package neatlanyard.core.dispatch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A defect as it stands in the technical log.
 *
 * @param lines what happened to it, the oldest first; the first is {@link TechAct.Raised}
 * @param deferred the terms it is open under; empty when it is open without or cleared
 */
public record Defect(UUID id, TechAct.Raised raised, List<TechEntry> lines, Optional<Terms> deferred,
    boolean cleared) {
  /** @param extended how often it was extended */
  public record Terms(EntryId entry, int count, LocalDate lastDay, int extended, String words) {}

  public Defect {
    lines = List.copyOf(lines);
  }

  public TechEntry first() {
    return lines.getFirst();
  }

  static Defect raised(TechEntry line, TechAct.Raised raised) {
    return new Defect(raised.defect(), raised, List.of(line), Optional.empty(), false);
  }

  Defect with(TechEntry line) {
    List<TechEntry> all = new ArrayList<>(lines);
    all.add(line);
    return switch (line.act()) {
      case TechAct.Raised r -> this;
      case TechAct.Deferred d -> new Defect(id, raised, all,
          Optional.of(new Terms(d.entry(), d.count(), d.lastDay(), 0, d.words())), false);
      case TechAct.Extended e -> new Defect(
          id, raised, all, deferred.map(t -> new Terms(t.entry, t.count, e.lastDay(), t.extended + 1, t.words)),
              cleared);
      case TechAct.Cleared c -> new Defect(id, raised, all, Optional.empty(), true);
    };
  }
}
