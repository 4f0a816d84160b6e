package neatlanyard.core.state;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.StepId;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;

/** What a crew has written and read of its briefing, by line. */
public final class BriefingNotes {
  public static final BriefingNotes NONE = new BriefingNotes(HashTreePMap.empty(), HashTreePMap.empty(), 0);

  private final PMap<StepId, Worded> worded;
  private final PMap<StepId, Read> read;
  private final long wordedNumber;

  private BriefingNotes(PMap<StepId, Worded> worded, PMap<StepId, Read> read, long wordedNumber) {
    this.worded = worded;
    this.read = read;
    this.wordedNumber = wordedNumber;
  }

  /** The crew's own words for a line. @param composed what the line said of itself when they were written */
  public record Worded(String words, String composed) {}

  /** @param words as they were read @param number of the entry */
  public record Read(String words, CrewId by, Instant at, long number) {}

  public Optional<Worded> worded(StepId line) {
    return Optional.ofNullable(worded.get(line));
  }

  /** Whether anything of it was read. */
  public boolean begun() {
    return !read.isEmpty();
  }

  /** What was read of a line last; empty before. */
  public Optional<Read> read(StepId line) {
    return Optional.ofNullable(read.get(line));
  }

  /** Number of the last entry that put a line in other words; 0 before. */
  public long wordedNumber() {
    return wordedNumber;
  }

  /** @param words empty: those of the pack again @param number of the entry */
  public BriefingNotes worded(StepId line, String words, String composed, long number) {
    return new BriefingNotes(
        words.isEmpty() ? worded.minus(line) : worded.plus(line, new Worded(words, composed)), read, number);
  }

  public BriefingNotes read(StepId line, Read now) {
    return new BriefingNotes(worded, read.plus(line, now), wordedNumber);
  }
}
