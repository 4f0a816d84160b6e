package neatlanyard.store.sop;

import static neatlanyard.store.generated.Tables.DOCUMENT;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Library;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.DocumentRecord;

/** Packs and fleets in the database, as texts. */
public final class StoredLibrary implements Library {
  private final Database db;

  public StoredLibrary(Database db) {
    this.db = db;
  }

  @Override
  public void keep(Document d) {
    Optional<Document> there = find(d.kind(), d.name(), d.revision());
    if (there.isPresent()) {
      if (!there.get().sha256().equals(d.sha256())) {
        throw new IllegalArgumentException(
            "Revision %s of %s is there already with another text; a revision is never edited. Give yours a new one."
                .formatted(d.revision(), d.name()));
      }
      return;
    }
    db.write(sql -> sql.insertInto(DOCUMENT).set(new DocumentRecord(
        d.kind().name(), d.name(), d.revision(), d.sha256(), d.text(), d.by().value(), d.at().toEpochMilli())).execute());
  }

  @Override
  public Optional<Document> find(Kind kind, String name, String revision) {
    return db.read(sql -> sql.selectFrom(DOCUMENT)
        .where(DOCUMENT.KIND.eq(kind.name()), DOCUMENT.NAME.eq(name), DOCUMENT.REVISION.eq(revision))
        .fetchOptional(StoredLibrary::of));
  }

  @Override
  public List<Document> all(Kind kind) {
    return db.read(sql -> sql.selectFrom(DOCUMENT)
        .where(DOCUMENT.KIND.eq(kind.name()))
        .orderBy(DOCUMENT.BROUGHT_IN_AT.desc(), DOCUMENT.REVISION.desc())
        .fetch(StoredLibrary::of));
  }

  private static Document of(DocumentRecord r) {
    return new Document(
        Kind.valueOf(r.getKind()), r.getName(), r.getRevision(), r.getSha256(), r.getContent(),
        new CrewId(r.getBroughtInBy()), Instant.ofEpochMilli(r.getBroughtInAt()));
  }
}
