package neatlanyard.store.fleet;

import static neatlanyard.store.generated.Tables.FLEET_TEXT;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FleetTexts;
import neatlanyard.store.db.Database;

/** Fleets in the database, as texts. */
public final class StoredFleetTexts implements FleetTexts {
  private final Database db;

  public StoredFleetTexts(Database db) {
    this.db = db;
  }

  @Override
  public void keep(FleetText t) {
    db.write(sql -> sql.insertInto(FLEET_TEXT)
        .set(FLEET_TEXT.OPERATOR, t.operator())
        .set(FLEET_TEXT.SHA256, t.sha256())
        .set(FLEET_TEXT.CONTENT, t.text())
        .set(FLEET_TEXT.BROUGHT_IN_BY, t.by().value())
        .set(FLEET_TEXT.BROUGHT_IN_AT, t.at().toEpochMilli())
        .execute());
  }

  @Override
  public Optional<FleetText> latest() {
    return db.read(sql -> sql.selectFrom(FLEET_TEXT).orderBy(FLEET_TEXT.ID.desc()).limit(1).fetchOptional(r -> new FleetText(
        r.getOperator(), r.getSha256(), r.getContent(), new CrewId(r.getBroughtInBy()), Instant.ofEpochMilli(r.getBroughtInAt()))));
  }
}
