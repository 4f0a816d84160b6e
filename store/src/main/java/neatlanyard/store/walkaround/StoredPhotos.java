package neatlanyard.store.walkaround;

import static neatlanyard.store.generated.Tables.PHOTO;
import static neatlanyard.store.generated.Tables.PHOTO_PART;

import java.io.ByteArrayOutputStream;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.walkaround.Photos;
import neatlanyard.store.db.Database;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** Photos in the database, and the parts of those that are still on their way. */
public final class StoredPhotos implements Photos {
  private final Database db;

  public StoredPhotos(Database db) {
    this.db = db;
  }

  @Override
  public Optional<Pending> pending(UUID id) {
    return db.read(sql -> sql.selectFrom(PHOTO).where(PHOTO.ID.eq(id.toString()), PHOTO.JPEG.isNull())
        .fetchOptional(r -> new Pending(id, new FlightId(r.getFlightId()), r.getSha256(), r.getTotal(),
        received(sql, id), new CrewId(r.getSentBy()), Instant.ofEpochMilli(r.getBegunAt()))));
  }

  @Override
  public Underway underway(CrewId by, FlightId departure) {
    return db.read(sql -> new Underway(
        sql.fetchCount(PHOTO, PHOTO.JPEG.isNull(), PHOTO.SENT_BY.eq(by.value())),
        sql.fetchCount(PHOTO, PHOTO.JPEG.isNull(), PHOTO.FLIGHT_ID.eq(departure.value()))));
  }

  @Override
  public void dropBefore(Instant then) {
    db.write(sql -> sql.deleteFrom(PHOTO).where(PHOTO.JPEG.isNull(), PHOTO.BEGUN_AT.lt(then.toEpochMilli()))
        .execute());
  }

  private static int received(DSLContext sql, UUID id) {
    Integer sum = sql.select(DSL.sum(PHOTO_PART.SIZE)).from(PHOTO_PART).where(PHOTO_PART.PHOTO_ID.eq(id.toString()))
        .fetchOne(0, Integer.class);
    return sum == null ? 0 : sum;
  }

  @Override
  public void begin(Pending p) {
    db.write(sql -> sql.insertInto(PHOTO)
        .set(PHOTO.ID, p.id().toString()).set(PHOTO.FLIGHT_ID, p.departure().value()).set(PHOTO.SHA256, p.sha256())
        .set(PHOTO.TOTAL, p.total())
        .set(PHOTO.SENT_BY, p.by().value()).set(PHOTO.BEGUN_AT, p.begun().toEpochMilli())
        .onDuplicateKeyIgnore().execute());
  }

  @Override
  public void add(UUID id, int from, byte[] part) {
    db.write(sql -> sql.insertInto(PHOTO_PART)
        .set(PHOTO_PART.PHOTO_ID, id.toString()).set(PHOTO_PART.FROM_BYTE, from).set(PHOTO_PART.SIZE, part.length)
        .set(PHOTO_PART.BYTES, part)
        .execute());
  }

  @Override
  public byte[] bytes(UUID id) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    db.read(sql -> sql.select(PHOTO_PART.BYTES).from(PHOTO_PART).where(PHOTO_PART.PHOTO_ID.eq(id.toString()))
        .orderBy(PHOTO_PART.FROM_BYTE).fetch(PHOTO_PART.BYTES)).forEach(out::writeBytes);
    return out.toByteArray();
  }

  @Override
  public void keep(Photo p) {
    db.write(sql -> {
      sql.deleteFrom(PHOTO_PART).where(PHOTO_PART.PHOTO_ID.eq(p.id().toString())).execute();
      sql.update(PHOTO).set(PHOTO.JPEG, p.jpeg()).where(PHOTO.ID.eq(p.id().toString())).execute();
    });
  }

  @Override
  public void drop(UUID id) {
    db.write(sql -> sql.deleteFrom(PHOTO).where(PHOTO.ID.eq(id.toString()), PHOTO.JPEG.isNull()).execute());
  }

  @Override
  public Optional<Photo> find(UUID id) {
    return db.read(sql -> sql.selectFrom(PHOTO).where(PHOTO.ID.eq(id.toString()), PHOTO.JPEG.isNotNull())
        .fetchOptional(r -> new Photo(id, new FlightId(r.getFlightId()), r.getSha256(), r.getJpeg())));
  }
}
