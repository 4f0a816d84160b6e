package neatlanyard.store.dispatch;

import static neatlanyard.store.generated.Tables.TECH_LINE;
import static neatlanyard.store.generated.Tables.TECH_LINE_COMING;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.locks.ReentrantLock;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.dispatch.TechLogs;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;
import neatlanyard.store.db.Coming;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.TechLineRecord;

/** Technical logs in the database. */
public final class StoredTechLogs implements TechLogs {
  private static final String RAISED = "raised";
  private static final String DEFERRED = "deferred";
  private static final String EXTENDED = "extended";
  private static final String CLEARED = "cleared";

  private final Database db;
  private final ReentrantLock coming = new ReentrantLock();

  public StoredTechLogs(Database db) {
    this.db = db;
  }

  @Override
  public List<TechEntry> of(TailId tail) {
    return db.read(sql -> sql.selectFrom(TECH_LINE).where(TECH_LINE.TAIL.eq(tail.value())).orderBy(TECH_LINE.ID)
        .fetch(StoredTechLogs::entry));
  }

  @Override
  public void add(List<TechEntry> lines) {
    coming.lock();
    try {
      Coming.take(db, lines.stream().map(StoredTechLogs::row).toList(), TECH_LINE_COMING, TECH_LINE);
    } finally {
      coming.unlock();
    }
  }

  private static TechLineRecord row(TechEntry e) {
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

  private static TechEntry entry(TechLineRecord r) {
    UUID defect = UUID.fromString(r.getDefect());
    TechAct act = switch (r.getAct()) {
      case RAISED -> new TechAct.Raised(
          defect, Optional.ofNullable(r.getFlight()).map(FlightId::new), Optional.ofNullable(r.getPlace()).map(PlaceId::new),
          Optional.ofNullable(r.getStep()).map(StepId::new), r.getWords());
      case DEFERRED -> new TechAct.Deferred(defect, new EntryId(r.getEntry()), r.getCount(), LocalDate.parse(r.getLastDay()), r.getWords());
      case EXTENDED -> new TechAct.Extended(defect, LocalDate.parse(r.getLastDay()), r.getWords());
      default -> new TechAct.Cleared(defect, r.getWords());
    };
    return new TechEntry(new TailId(r.getTail()), Instant.ofEpochMilli(r.getAt()), new CrewId(r.getWho()), r.getName(), act);
  }
}
