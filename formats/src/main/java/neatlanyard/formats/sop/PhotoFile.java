package neatlanyard.formats.sop;

import java.util.Base64;
import java.util.Optional;

/**
 * A photo of a pack: a JPEG (ITU-T T.81) that carries the picture and nothing else, such as where it was taken.
 *
 * @param width and {@code height}, in pixels
 */
record PhotoFile(int width, int height) {
  /** All that a card shows of them goes to every device. */
  static final int MOST_BYTES = 60_000;
  private static final int MOST_SIDE = 1_200;
  private static final int MARKER = 0xff;
  private static final int BEGIN = 0xd8;
  private static final int END = 0xd9;
  private static final int SCAN = 0xda;
  private static final int FIRST_RESTART = 0xd0;
  private static final int LAST_RESTART = 0xd7;
  /** Frames that every browser draws: baseline, extended, progressive. */
  private static final int FIRST_FRAME = 0xc0;
  private static final int LAST_FRAME = 0xc2;
  private static final int FIRST_APPLICATION = 0xe0;
  private static final int COLOURS = 0xee;
  private static final int LAST_APPLICATION = 0xef;
  private static final int COMMENT = 0xfe;

  /** What came of reading it: a photo, or why it is none. */
  record Read(Optional<PhotoFile> photo, String fault) {
    private static Read fault(String why) {
      return new Read(Optional.empty(), why);
    }
  }

  /** @param base64 by RFC 4648, section 4, without line ends */
  static Read read(String base64) {
    if (base64.length() > (MOST_BYTES + 2) / 3 * 4) {
      return Read.fault("A photo has at most %d bytes.".formatted(MOST_BYTES));
    }
    try {
      return read(Base64.getDecoder().decode(base64));
    } catch (IllegalArgumentException e) {
      return Read.fault("A photo is written in base64, without line ends.");
    }
  }

  private static Read read(byte[] file) {
    int n = file.length;
    if (n < 4 || at(file, 0) != MARKER || at(file, 1) != BEGIN || at(file, n - 2) != MARKER
        || at(file, n - 1) != END) {
      return Read.fault("It is no JPEG, or not all of one.");
    }
    Optional<PhotoFile> frame = Optional.empty();
    int i = 2;
    while (i + 4 <= n && at(file, i) == MARKER) {
      int kind = at(file, i + 1);
      int length = at(file, i + 2) << 8 | at(file, i + 3);
      if (kind == SCAN && frame.isEmpty()) {
        return Read.fault("It is no JPEG that browsers draw.");
      }
      boolean application = kind > FIRST_APPLICATION && kind <= LAST_APPLICATION && kind != COLOURS;
      if (application || kind == COMMENT) {
        return Read.fault("It carries more than the picture, such as where it was taken: save it without.");
      }
      if (kind >= FIRST_FRAME && kind <= LAST_FRAME && i + 9 <= n) {
        frame = Optional.of(new PhotoFile(at(file, i + 7) << 8 | at(file, i + 8), at(file, i + 5) << 8
            | at(file, i + 6)));
        if (!frame.get().fits()) {
          return Read.fault("A photo has at most %d pixels a side.".formatted(MOST_SIDE));
        }
      }
      i += 2 + length;
      if (kind == SCAN) {
        i = behindScan(file, i);
        if (i == n - 2) {
          return new Read(frame, "");
        }
      }
    }
    return Read.fault("It is no JPEG, or not all of one.");
  }

  /** Where the coded data of a scan ends: at a marker that is neither a stuffed byte nor a restart. */
  private static int behindScan(byte[] file, int from) {
    int i = from;
    while (i + 1 < file.length && (at(file, i) != MARKER || at(file, i + 1) == 0
        || at(file, i + 1) >= FIRST_RESTART && at(file, i + 1) <= LAST_RESTART)) {
      i++;
    }
    return i;
  }

  private boolean fits() {
    return width > 0 && height > 0 && width <= MOST_SIDE && height <= MOST_SIDE;
  }

  private static int at(byte[] file, int i) {
    return file[i] & 0xff;
  }
}
