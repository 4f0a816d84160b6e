package neatlanyard.core.sop;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.CrewId;

/**
 * One revision of a pack and how far it has come: draft, checked by a second person, published with an effective date.
 *
 * @param text the pack as it was brought in or saved last
 * @param sha256 of the text
 * @param edition counts the savings of the draft, so that two editors do not overwrite each other
 * @param drafted who saved it last, and when
 * @param authors everybody who saved some edition of it, so that who checks it has written none of it
 * @param effective the first day on which departures are opened on it
 */
public record Revision(
    PackId pack,
    String name,
    String text,
    String sha256,
    long edition,
    Signed drafted,
    Set<CrewId> authors,
    Optional<Signed> checked,
    Optional<Signed> published,
    Optional<LocalDate> effective) {
  public Revision {
    authors = Set.copyOf(authors);
  }

  /** A draft that is saved for the first time. */
  public static Revision draft(PackId pack, String name, String text, String sha256, Signed by) {
    return new Revision(pack, name, text, sha256, 1, by, Set.of(by.by()), Optional.empty(), Optional.empty(),
        Optional.empty());
  }

  /** Who did something, and when. */
  public record Signed(CrewId by, Instant at) {}

  /** How far it has come. */
  public enum Life { DRAFT, CHECKED, PUBLISHED }

  public Life life() {
    return published.isPresent() ? Life.PUBLISHED : checked.isPresent() ? Life.CHECKED : Life.DRAFT;
  }

  /** Saved again: a new edition, which nobody has checked yet. */
  public Revision saved(String newText, String newSha256, Signed by) {
    Set<CrewId> all = Stream.concat(authors.stream(), Stream.of(by.by())).collect(Collectors.toUnmodifiableSet());
    return new Revision(pack, name, newText, newSha256, edition + 1, by, all, Optional.empty(), Optional.empty(),
        Optional.empty());
  }

  public Revision checked(Signed by) {
    return new Revision(pack, name, text, sha256, edition, drafted, authors, Optional.of(by), Optional.empty(),
        Optional.empty());
  }

  public Revision published(Signed by, LocalDate from) {
    return new Revision(pack, name, text, sha256, edition, drafted, authors, checked, Optional.of(by),
        Optional.of(from));
  }
}
