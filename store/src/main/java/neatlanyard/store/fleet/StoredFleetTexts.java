package neatlanyard.store.fleet;

import static neatlanyard.store.generated.Tables.FLEET_TEXT;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FleetTexts;
import neatlanyard.store.db.Database;
import org.jooq.impl.DSL;

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
  public Optional<FleetText> inForce() {
    return back(0);
  }

  @Override
  public Optional<FleetText> before() {
    return back(1);
  }

  @Override
  public void withdraw(Instant at) {
    db.write(sql -> sql.update(FLEET_TEXT).set(FLEET_TEXT.WITHDRAWN_AT, at.toEpochMilli())
        .where(FLEET_TEXT.ID.eq(DSL.select(DSL.max(FLEET_TEXT.ID)).from(FLEET_TEXT)
        .where(FLEET_TEXT.WITHDRAWN_AT.isNull()))).execute());
  }

  private Optional<FleetText> back(int many) {
    return db.read(sql -> sql.selectFrom(FLEET_TEXT).where(FLEET_TEXT.WITHDRAWN_AT.isNull())
        .orderBy(FLEET_TEXT.ID.desc()).offset(many).limit(1).fetchOptional(r -> new FleetText(
        r.getOperator(), r.getSha256(), r.getContent(), new CrewId(r.getBroughtInBy()),
        Instant.ofEpochMilli(r.getBroughtInAt()))));
  }
}
