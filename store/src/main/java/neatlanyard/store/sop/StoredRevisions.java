package neatlanyard.store.sop;

import static neatlanyard.store.generated.Tables.ACKNOWLEDGEMENT;
import static neatlanyard.store.generated.Tables.REVISION;

import java.time.Instant;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Revision;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.core.sop.Revisions;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.AcknowledgementRecord;
import neatlanyard.store.generated.tables.records.RevisionRecord;
import org.jspecify.annotations.Nullable;

/** Revisions of packs in the database; triggers keep published ones as they are. */
public final class StoredRevisions implements Revisions {
  private final Database db;

  public StoredRevisions(Database db) {
    this.db = db;
  }

  @Override
  public Optional<Revision> find(PackId pack, String name) {
    return db.read(sql -> sql.selectFrom(REVISION)
        .where(REVISION.PACK.eq(pack.value()), REVISION.NAME.eq(name))
        .fetchOptional(StoredRevisions::of));
  }

  @Override
  public List<Revision> all() {
    return db.rows(
        sql -> sql.selectFrom(REVISION).orderBy(REVISION.DRAFTED_AT.desc(), REVISION.PACK, REVISION.NAME),
        StoredRevisions::of);
  }

  @Override
  public boolean keep(Revision r, long over) {
    AtomicBoolean kept = new AtomicBoolean();
    db.write(sql -> {
      Optional<RevisionRecord> there = sql.selectFrom(REVISION)
          .where(REVISION.PACK.eq(r.pack().value()), REVISION.NAME.eq(r.name())).fetchOptional();
      boolean free = there.map(t -> t.getPublishedAt() == null && t.getEdition() == over).orElse(over == 0);
      if (free) {
        there.ifPresent(RevisionRecord::delete);
        sql.insertInto(REVISION).set(record(r)).execute();
      }
      kept.set(free);
    });
    return kept.get();
  }

  @Override
  public boolean discard(PackId pack, String name, long edition) {
    AtomicBoolean gone = new AtomicBoolean();
    db.write(sql -> gone.set(sql.deleteFrom(REVISION)
        .where(REVISION.PACK.eq(pack.value()), REVISION.NAME.eq(name), REVISION.EDITION.eq(edition),
        REVISION.PUBLISHED_AT.isNull()).execute() > 0));
    return gone.get();
  }

  @Override
  public void acknowledge(PackId pack, String name, Signed by) {
    db.write(sql -> sql.insertInto(ACKNOWLEDGEMENT)
        .set(new AcknowledgementRecord(pack.value(), name, by.by().value(), by.at().toEpochMilli()))
        .onConflictDoNothing().execute());
  }

  @Override
  public Set<String> acknowledged(PackId pack, CrewId who) {
    return new HashSet<>(db.read(sql -> sql.select(ACKNOWLEDGEMENT.NAME).from(ACKNOWLEDGEMENT)
        .where(ACKNOWLEDGEMENT.PACK.eq(pack.value()), ACKNOWLEDGEMENT.WHO.eq(who.value()))
        .fetch(ACKNOWLEDGEMENT.NAME)));
  }

  @Override
  public List<Signed> readers(PackId pack, String name) {
    return db.rows(
        sql -> sql.selectFrom(ACKNOWLEDGEMENT)
            .where(ACKNOWLEDGEMENT.PACK.eq(pack.value()), ACKNOWLEDGEMENT.NAME.eq(name))
            .orderBy(ACKNOWLEDGEMENT.ACKNOWLEDGED_AT),
        a -> new Signed(new CrewId(a.getWho()), Instant.ofEpochMilli(a.getAcknowledgedAt())));
  }

  private static RevisionRecord record(Revision r) {
    RevisionRecord record = new RevisionRecord();
    record.setPack(r.pack().value());
    record.setName(r.name());
    record.setContent(r.text());
    record.setSha256(r.sha256());
    record.setEdition(r.edition());
    record.setDraftedBy(r.drafted().by().value());
    record.setDraftedAt(r.drafted().at().toEpochMilli());
    record.setAuthors(r.authors().stream().map(CrewId::value).sorted().collect(Collectors.joining(" ")));
    r.checked().ifPresent(c -> {
      record.setCheckedBy(c.by().value());
      record.setCheckedAt(c.at().toEpochMilli());
    });
    r.published().ifPresent(p -> {
      record.setPublishedBy(p.by().value());
      record.setPublishedAt(p.at().toEpochMilli());
    });
    r.effective().ifPresent(e -> record.setEffective(e.toString()));
    return record;
  }

  private static Revision of(RevisionRecord r) {
    return new Revision(
        new PackId(r.getPack()), r.getName(), r.getContent(), r.getSha256(), r.getEdition(),
        new Signed(new CrewId(r.getDraftedBy()), Instant.ofEpochMilli(r.getDraftedAt())), authors(r),
        signed(r.getCheckedBy(), r.getCheckedAt()), signed(r.getPublishedBy(), r.getPublishedAt()),
        Optional.ofNullable(r.getEffective()).map(LocalDate::parse));
  }

  private static Set<CrewId> authors(RevisionRecord r) {
    String authors = r.getAuthors() == null ? r.getDraftedBy() : r.getAuthors();
    return Stream.of(authors.split(" ")).map(CrewId::new).collect(Collectors.toUnmodifiableSet());
  }

  private static Optional<Signed> signed(@Nullable String by, @Nullable Long at) {
    return by == null || at == null ? Optional.empty()
        : Optional.of(new Signed(new CrewId(by), Instant.ofEpochMilli(at)));
  }
}
