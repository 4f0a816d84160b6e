package neatlanyard.server.walkaround;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Iterator;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.walkaround.Photos;
import neatlanyard.core.walkaround.Photos.Pending;
import neatlanyard.core.walkaround.Photos.Photo;
import neatlanyard.server.problem.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Puts photos together from their parts and keeps the picture alone: whatever else the file says, such as where it was taken, is gone. */
@Service
class PhotoDesk {
  /** Most bytes of a photo as it is sent. */
  static final int MOST_BYTES = 5 * 1024 * 1024;

  private static final long MOST_PIXELS = 40_000_000L;
  private static final int LONGEST_SIDE = 1_600;
  private static final Set<String> KINDS = Set.of("jpeg", "png");

  private final Photos photos;
  private final ReentrantLock lock = new ReentrantLock();

  PhotoDesk(Photos photos) {
    this.photos = photos;
  }

  /** How much of a photo is here. @param whole whether all of it is */
  record Here(int received, boolean whole) {}

  Here here(UUID id) {
    return photos.find(id).map(p -> new Here(MOST_BYTES, true))
        .or(() -> photos.pending(id).map(p -> new Here(p.received(), false))).orElse(new Here(0, false));
  }

  /**
   * Takes a part. A part that is here already changes nothing; one that would leave a hole is refused.
   *
   * @throws Problem if it is too large, does not follow, is not what its hash says or is not a picture
   */
  Here take(UUID id, FlightId departure, String sha256, int total, int from, byte[] part) {
    if (total < 1 || total > MOST_BYTES) {
      throw Problem.of(HttpStatus.CONTENT_TOO_LARGE, "photo-too-large", "The photo has %d bytes; %d is the most.".formatted(total, MOST_BYTES),
          "Take it again smaller; the find stands without it.");
    }
    lock.lock();
    try {
      if (photos.find(id).isPresent()) {
        return new Here(total, true);
      }
      Pending pending = photos.pending(id).orElseGet(() -> {
        Pending made = new Pending(id, departure, sha256, total, 0);
        photos.begin(made);
        return made;
      });
      if (!pending.sha256().equals(sha256) || pending.total() != total || !pending.departure().equals(departure)) {
        throw Problem.bad("photo-other", "Another photo has that key.");
      }
      if (from + part.length <= pending.received()) {
        return new Here(pending.received(), false);
      }
      if (from != pending.received() || from + part.length > total) {
        throw Problem.of(HttpStatus.CONFLICT, "photo-hole", "%d bytes are here; the part begins at %d.".formatted(pending.received(), from),
            "Go on from where it is.");
      }
      photos.add(id, from, part);
      int received = from + part.length;
      if (received < total) {
        return new Here(received, false);
      }
      finish(pending);
      return new Here(received, true);
    } finally {
      lock.unlock();
    }
  }

  private void finish(Pending pending) {
    byte[] bytes = photos.bytes(pending.id());
    try {
      if (!HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes)).equals(pending.sha256())) {
        throw Problem.bad("photo-torn", "The photo arrived, but not as it was sent.");
      }
      photos.keep(new Photo(pending.id(), pending.departure(), pending.sha256(), picture(bytes)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    } catch (Problem refused) {
      photos.drop(pending.id());
      throw refused;
    }
  }

  /** The picture alone, its longest side at most {@value LONGEST_SIDE} pixels. */
  private static byte[] picture(byte[] bytes) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        throw Problem.bad("not-a-picture", "That is not a picture that can be read; JPEG and PNG are.");
      }
      ImageReader reader = readers.next();
      try {
        if (!KINDS.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
          throw Problem.bad("not-a-picture", "A %s is not taken; JPEG and PNG are.".formatted(reader.getFormatName()));
        }
        reader.setInput(in, true, true);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        if (pixels > MOST_PIXELS) {
          throw Problem.bad("picture-too-large", "The picture is %d by %d; %d million pixels is the most.".formatted(
              reader.getWidth(0), reader.getHeight(0), MOST_PIXELS / 1_000_000));
        }
        AtomicBoolean damaged = new AtomicBoolean();
        reader.addIIOReadWarningListener((source, warning) -> damaged.set(true));
        BufferedImage image = reader.read(0);
        if (damaged.get()) {
          throw Problem.bad("not-a-picture", "The picture is damaged: part of it is missing.");
        }
        return jpeg(image);
      } finally {
        reader.dispose();
      }
    } catch (IOException | RuntimeException e) {
      if (e instanceof Problem p) {
        throw p;
      }
      throw Problem.bad("not-a-picture", "The picture is damaged and cannot be read.");
    }
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
