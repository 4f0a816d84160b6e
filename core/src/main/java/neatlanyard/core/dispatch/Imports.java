package neatlanyard.core.dispatch;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.dispatch.ReadingHistory.Reading;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TailId;

/**
 * Files of log lines, of readings and of control checks that were brought in. Each counts once all of it is here and
 * until it is withdrawn, which it may be before anybody goes by it; its rows stay, and the corrected file stands
 * beside them.
 */
public interface Imports {
  /** What such a file has. */
  enum What {
    LOG_LINES("lines of technical logs"),
    READINGS("earlier readings"),
    CONTROL_CHECKS("what control checks measured");

    private final String words;

    What(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How it stands with one. */
  enum Standing {
    /** Nobody has gone by it yet. */
    MAY_BE_WITHDRAWN,
    /** A departure of one of its tails went on since, or a later line is about one of its defects. */
    IN_USE,
    WITHDRAWN
  }

  /** One file. @param tails that it has rows of */
  record Import(int number, What what, CrewId by, Instant at, List<TailId> tails, int rows, Standing standing) {}

  /** Brings in lines, all or none. */
  void bringInLog(List<TechEntry> lines, CrewId by, Instant at);

  /** Brings in readings, all or none. */
  void bringInReadings(List<Reading> readings, CrewId by, Instant at);

  /** Brings in what control checks measured, all or none. */
  void bringInChecks(List<Checked> checks, CrewId by, Instant at);

  /** The latest, the newest first. */
  List<Import> latest(int most);

  Optional<Import> find(int number);

  /** @return whether it was withdrawn: false where it is in use, was withdrawn before or is not there */
  boolean withdraw(int number, Instant at);
}
