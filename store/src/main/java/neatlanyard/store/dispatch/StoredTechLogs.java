package neatlanyard.store.dispatch;

import static neatlanyard.store.generated.Tables.TECH_LINE;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.dispatch.TechLogs;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.record.Characters;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.TechLineRecord;

/** Technical logs in the database. */
public final class StoredTechLogs implements TechLogs {
  private static final String RAISED = "raised";
  private static final String DEFERRED = "deferred";
  private static final String EXTENDED = "extended";
  private static final String CLEARED = "cleared";

  private static final CrewId UNKNOWN = new CrewId("unknown");
  private static final LocalDate FIRST_SAID = LocalDate.of(1900, 1, 1);
  private static final LocalDate LAST_SAID = LocalDate.of(9000, 1, 1);

  private final Database db;

  public StoredTechLogs(Database db) {
    this.db = db;
  }

  @Override
  public List<TechEntry> of(TailId tail) {
    return db.rows(
        sql -> sql.selectFrom(TECH_LINE)
            .where(TECH_LINE.TAIL.eq(tail.value()), StoredImports.counts(TECH_LINE.BROUGHT_IN)).orderBy(TECH_LINE.ID),
        r -> shown(tail, r));
  }

  @Override
  public void add(List<TechEntry> lines) {
    db.write(sql -> sql.batchInsert(lines.stream().map(StoredTechLogs::row).toList()).execute());
  }

  static TechLineRecord row(TechEntry e) {
    TechLineRecord r = new TechLineRecord();
    r.setTail(e.tail().value());
    r.setDefect(e.act().defect().toString());
    r.setAt(e.at().toEpochMilli());
    r.setWho(e.by().value());
    r.setName(e.name());
    switch (e.act()) {
      case TechAct.Raised a -> {
        r.setAct(RAISED);
        r.setWords(a.what());
        a.departure().ifPresent(f -> r.setFlight(f.value()));
        a.place().ifPresent(p -> r.setPlace(p.value()));
        a.step().ifPresent(s -> r.setStep(s.value()));
      }
      case TechAct.Deferred a -> {
        r.setAct(DEFERRED);
        r.setWords(a.words());
        r.setEntry(a.entry().value());
        r.setCount(a.count());
        r.setLastDay(a.lastDay().toString());
      }
      case TechAct.Extended a -> {
        r.setAct(EXTENDED);
        r.setWords(a.words());
        r.setLastDay(a.lastDay().toString());
      }
      case TechAct.Cleared a -> {
        r.setAct(CLEARED);
        r.setWords(a.words());
      }
    }
    return r;
  }

  /**
   * A line that cannot be read hangs as an open defect, until maintenance control has cleared it: it may have been
   * one.
   */
  private TechEntry shown(TailId tail, TechLineRecord r) {
    try {
      return entry(r);
    } catch (RuntimeException e) {
      db.note(r, e);
      UUID defect = UUID.nameUUIDFromBytes("unreadable line %d".formatted(r.getId()).getBytes(StandardCharsets.UTF_8));
      return new TechEntry(tail, Instant.ofEpochMilli(r.getAt()), UNKNOWN, "unknown", new TechAct.Raised(
          defect, Optional.empty(), Optional.empty(), Optional.empty(),
          Characters.shown(
          "Line %d of the log cannot be read: %s, %s".formatted(r.getId(), r.getAct(), r.getWords()))));
    }
  }

  private static TechEntry entry(TechLineRecord r) {
    UUID defect = UUID.fromString(r.getDefect());
    TechAct act = switch (r.getAct()) {
      case RAISED -> new TechAct.Raised(
          defect, Optional.ofNullable(r.getFlight()).map(FlightId::new), Optional.ofNullable(r.getPlace())
              .map(PlaceId::new),
          Optional.ofNullable(r.getStep()).map(StepId::new), r.getWords());
      case DEFERRED -> new TechAct.Deferred(defect, new EntryId(r.getEntry()), r.getCount(), day(r), words(r));
      case EXTENDED -> new TechAct.Extended(defect, day(r), words(r));
      default -> new TechAct.Cleared(defect, r.getWords());
    };
    return new TechEntry(new TailId(r.getTail()), Instant.ofEpochMilli(r.getAt()), new CrewId(r.getWho()),
        r.getName(), act);
  }

  /** A day that was kept before days had a plausible range stands as the last one that a calendar can say. */
  private static LocalDate day(TechLineRecord r) {
    LocalDate day = LocalDate.parse(r.getLastDay());
    return day.isAfter(LAST_SAID) ? LAST_SAID : day.isBefore(FIRST_SAID) ? FIRST_SAID : day;
  }

  private static String words(TechLineRecord r) {
    return day(r).toString().equals(r.getLastDay()) ? r.getWords()
        : "%s [last day as it was written: %s]".formatted(r.getWords(), r.getLastDay());
  }
}
