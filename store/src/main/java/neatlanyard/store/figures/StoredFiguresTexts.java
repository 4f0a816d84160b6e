package neatlanyard.store.figures;

import static neatlanyard.store.generated.Tables.FIGURES_TEXT;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.FiguresTexts;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.FiguresTextRecord;

/** The texts that figures rest on, in the database. */
public final class StoredFiguresTexts implements FiguresTexts {
  private final Database db;

  public StoredFiguresTexts(Database db) {
    this.db = db;
  }

  @Override
  public Optional<Text> inForce(Kind kind, Optional<TypeId> type) {
    return db.read(sql -> sql.selectFrom(FIGURES_TEXT)
        .where(FIGURES_TEXT.KIND.eq(written(kind)), FIGURES_TEXT.TYPE.eq(written(type)))
        .orderBy(FIGURES_TEXT.ID.desc()).limit(1).fetchOptional(StoredFiguresTexts::text));
  }

  @Override
  public Optional<Text> find(String sha256) {
    return db.read(sql -> sql.selectFrom(FIGURES_TEXT).where(FIGURES_TEXT.SHA256.eq(sha256))
        .orderBy(FIGURES_TEXT.ID.desc()).limit(1).fetchOptional(StoredFiguresTexts::text));
  }

  @Override
  public List<Text> all() {
    Map<String, Text> newest = new LinkedHashMap<>();
    db.rows(sql -> sql.selectFrom(FIGURES_TEXT).orderBy(FIGURES_TEXT.ID), StoredFiguresTexts::text)
        .forEach(t -> newest.put(written(t.kind()) + "/" + written(t.type()), t));
    return List.copyOf(newest.values());
  }

  @Override
  public void add(Text t) {
    db.write(sql -> sql.insertInto(FIGURES_TEXT)
        .set(FIGURES_TEXT.KIND, written(t.kind()))
        .set(FIGURES_TEXT.TYPE, written(t.type()))
        .set(FIGURES_TEXT.EDITION, t.edition())
        .set(FIGURES_TEXT.SHA256, t.sha256())
        .set(FIGURES_TEXT.CONTENT, t.content())
        .set(FIGURES_TEXT.BROUGHT_IN_BY, t.by().value())
        .set(FIGURES_TEXT.BROUGHT_IN_AT, t.at().toEpochMilli())
        .execute());
  }

  private static String written(Kind kind) {
    return kind.name().toLowerCase(Locale.ROOT);
  }

  private static String written(Optional<TypeId> type) {
    return type.map(TypeId::value).orElse("");
  }

  private static Text text(FiguresTextRecord r) {
    return new Text(
        Kind.valueOf(r.getKind().toUpperCase(Locale.ROOT)),
        Optional.of(r.getType()).filter(t -> !t.isEmpty()).map(TypeId::new), r.getEdition(), r.getSha256(),
        r.getContent(), new CrewId(r.getBroughtInBy()), Instant.ofEpochMilli(r.getBroughtInAt()));
  }
}
