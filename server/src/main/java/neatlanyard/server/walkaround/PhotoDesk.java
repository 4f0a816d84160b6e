package neatlanyard.server.walkaround;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.stream.ImageInputStream;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.walkaround.Photos.Pending;
import neatlanyard.core.walkaround.Photos.Photo;
import neatlanyard.core.walkaround.Photos;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/**
 * Puts photos together from their parts and keeps the picture alone: whatever else the file says, such as where it was
 * taken, is gone.
 */
@Service
public class PhotoDesk {
  /** Most bytes of a photo as it is sent. */
  static final int MOST_BYTES = 5 * 1024 * 1024;

  /** What decoding one may take: forty million pixels of four bytes, or fewer of more. */
  private static final long MOST_DECODED_BYTES = 160_000_000L;
  private static final int LONGEST_SIDE = 1_600;
  private static final Set<String> KINDS = Set.of("jpeg", "png");
  private static final int MOST_OF_PERSON = 40;
  private static final int MOST_OF_DEPARTURE = 120;
  /** Longer than any duty: what has not arrived by then does not arrive. */
  private static final Duration KEPT_UNFINISHED = Duration.ofHours(48);
  private static final Duration CLEANED_EVERY = Duration.ofMinutes(10);
  private static final int LOCKS = 256;

  private final Photos photos;
  private final HeavyWork heavy;
  private final InstantSource clock;
  /** Whose find names a photo, where one does; told by those who keep the finds. */
  private volatile Function<UUID, Optional<FlightId>> named = id -> Optional.empty();
  private volatile Instant cleaned = Instant.EPOCH;
  private final List<ReentrantLock> locks = Stream.generate(ReentrantLock::new).limit(LOCKS).toList();

  PhotoDesk(Photos photos, HeavyWork heavy, InstantSource clock) {
    this.photos = photos;
    this.heavy = heavy;
    this.clock = clock;
  }

  /** How much of a photo is here. @param whole whether all of it is */
  record Here(int received, boolean whole) {}

  Here here(UUID id) {
    return photos.find(id).map(p -> new Here(MOST_BYTES, true))
        .or(() -> photos.pending(id).map(p -> new Here(p.received(), false))).orElse(new Here(0, false));
  }

  /** Who can say which departure's find names a photo: no other departure may send under that key. */
  public void onNamed(Function<UUID, Optional<FlightId>> says) {
    named = says;
  }

  /** A find is about to name these photos. @throws Problem when one is another departure's */
  public void mayName(FlightId departure, List<UUID> ids) {
    for (UUID id : ids) {
      Optional<FlightId> of = photos.find(id).map(Photo::departure)
          .or(() -> photos.pending(id).map(Pending::departure)).or(() -> named.apply(id));
      if (of.filter(o -> !o.equals(departure)).isPresent()) {
        throw Problem.bad(ProblemCode.PHOTO_OTHER, "A photo of another departure was named.");
      }
    }
  }

  /**
   * Takes a part. A part that is here already changes nothing; one that would leave a hole is refused.
   *
   * @throws Problem if it is too large, does not follow, is not what its hash says or is not a picture, or too many
   *     are on their way
   */
  Here take(Pending photo, int from, byte[] part) {
    if (photo.total() < 1 || photo.total() > MOST_BYTES) {
      throw Problem.of(HttpStatus.CONTENT_TOO_LARGE, ProblemCode.PHOTO_TOO_LARGE,
          "The photo has %d bytes; %d is the most.".formatted(photo.total(), MOST_BYTES),
          "Take it again smaller; the find stands without it.");
    }
    ReentrantLock lock = locks.get(Math.floorMod(photo.id().hashCode(), LOCKS));
    lock.lock();
    try {
      Optional<Photo> kept = photos.find(photo.id());
      if (kept.isPresent()) {
        mustBe(kept.get().departure().equals(photo.departure()));
        return new Here(photo.total(), true);
      }
      Pending pending = photos.pending(photo.id()).orElseGet(() -> begin(photo));
      mustBe(pending.sha256().equals(photo.sha256()) && pending.total() == photo.total()
          && pending.departure().equals(photo.departure()));
      return add(pending, from, part);
    } finally {
      lock.unlock();
    }
  }

  private static void mustBe(boolean same) {
    if (!same) {
      throw Problem.bad(ProblemCode.PHOTO_OTHER, "Another photo has that key.");
    }
  }

  private Pending begin(Pending photo) {
    mustBe(named.apply(photo.id()).filter(of -> !of.equals(photo.departure())).isEmpty());
    cleanUp();
    Photos.Underway underway = photos.underway(photo.by(), photo.departure());
    if (underway.ofPerson() >= MOST_OF_PERSON || underway.ofDeparture() >= MOST_OF_DEPARTURE) {
      throw Problem.later(HttpStatus.TOO_MANY_REQUESTS, ProblemCode.PHOTOS_UNDERWAY,
          "%d photos of yours and %d of this departure are on their way; they finish first.".formatted(
          underway.ofPerson(), underway.ofDeparture()),
          Duration.ofSeconds(10));
    }
    photos.begin(photo);
    return photo;
  }

  /** Now and then: each is a transaction. */
  private void cleanUp() {
    Instant now = clock.instant();
    if (cleaned.plus(CLEANED_EVERY).isBefore(now)) {
      cleaned = now;
      photos.dropBefore(now.minus(KEPT_UNFINISHED));
    }
  }

  private Here add(Pending pending, int from, byte[] part) {
    int received = pending.received();
    if (from + part.length > received) {
      if (from != received || from + part.length > pending.total()) {
        throw Problem.of(HttpStatus.CONFLICT, ProblemCode.PHOTO_HOLE,
            "%d bytes are here; the part begins at %d.".formatted(received, from), "Go on from where it is.");
      }
      photos.add(pending.id(), from, part);
      received += part.length;
    }
    if (received < pending.total()) {
      return new Here(received, false);
    }
    finish(pending);
    return new Here(received, true);
  }

  /** Busy, it stays as it is: the device asks again with nothing more to send. */
  private void finish(Pending pending) {
    byte[] bytes = photos.bytes(pending.id());
    try {
      if (!HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)).equals(pending.sha256())) {
        throw Problem.bad(ProblemCode.PHOTO_TORN, "The photo arrived, but not as it was sent.");
      }
      byte[] jpeg = heavy.run(pending.by().value(), HeavyWork.Kind.PHOTO, stop -> picture(bytes));
      photos.keep(new Photo(pending.id(), pending.departure(), pending.sha256(), jpeg));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    } catch (Problem refused) {
      if (refused.detail().getStatus() == HttpStatus.UNPROCESSABLE_CONTENT.value()) {
        photos.drop(pending.id());
      }
      throw refused;
    }
  }

  /**
   * The picture alone, its longest side at most {@value LONGEST_SIDE} pixels; no more of a large one is decoded than
   * that needs.
   */
  private static byte[] picture(byte[] bytes) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw Problem.bad(ProblemCode.NOT_A_PICTURE, "That is not a picture that can be read; JPEG and PNG are.");
      }
      ImageReader reader = readers.next();
      try {
        if (!KINDS.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
          throw Problem.bad(ProblemCode.NOT_A_PICTURE,
              "A %s is not taken; JPEG and PNG are.".formatted(reader.getFormatName()));
        }
        reader.setInput(in, true, true);
        return jpeg(decoded(reader));
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      if (e instanceof Problem p) {
        throw p;
      }
      throw Problem.bad(ProblemCode.NOT_A_PICTURE, "The picture is damaged and cannot be read.");
    }
  }

  private static BufferedImage decoded(ImageReader reader) throws IOException {
    int width = reader.getWidth(0);
    int height = reader.getHeight(0);
    ImageTypeSpecifier raw = reader.getRawImageType(0);
    int bitsAPixel = raw == null ? 4 * Byte.SIZE : Math.max(Byte.SIZE, raw.getColorModel().getPixelSize());
    if ((double) width * height * bitsAPixel / Byte.SIZE > MOST_DECODED_BYTES) {
      throw Problem.bad(ProblemCode.PICTURE_TOO_LARGE,
          "The picture is %d by %d at %d bits a pixel; decoded it may take %d million bytes.".formatted(
          width, height, bitsAPixel, MOST_DECODED_BYTES / 1_000_000));
    }
    AtomicBoolean damaged = new AtomicBoolean();
    reader.addIIOReadWarningListener((source, warning) -> damaged.set(true));
    ImageReadParam param = reader.getDefaultReadParam();
    // Twice the size that is kept is enough to be made smaller smoothly.
    int every = Math.max(1, Math.max(width, height) / (2 * LONGEST_SIDE));
    param.setSourceSubsampling(every, every, 0, 0);
    BufferedImage image = reader.read(0, param);
    if (damaged.get()) {
      throw Problem.bad(ProblemCode.NOT_A_PICTURE, "The picture is damaged: part of it is missing.");
    }
    return image;
  }

  private static byte[] jpeg(BufferedImage image) throws IOException {
    double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(image.getWidth(), image.getHeight()));
    int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
    int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
    BufferedImage plain = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = plain.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
    g.drawImage(image, 0, 0, width, height, java.awt.Color.WHITE, null);
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(plain, "jpeg", out);
    return out.toByteArray();
  }

  Photo require(UUID id) {
    return photos.find(id).orElseThrow(() -> Problem.notFound("That photo has not arrived."));
  }
}
