package neatlanyard.core.walkaround;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;

/**
 * Where photos of finds are kept. They arrive in parts, as the network allows, and are kept as pictures once whole.
 */
public interface Photos {
  /**
   * A photo on its way.
   *
   * @param sha256 of the whole, as the device sends it
   * @param received bytes that are here
   * @param by who sends it
   * @param begun when its first part came
   */
  record Pending(UUID id, FlightId departure, String sha256, int total, int received, CrewId by, Instant begun) {}

  /** A photo that is here. @param jpeg the picture, without anything else in it */
  record Photo(UUID id, FlightId departure, String sha256, byte[] jpeg) {}

  /** How many photos are on their way. @param ofPerson of one person @param ofDeparture in one departure */
  record Underway(int ofPerson, int ofDeparture) {}

  Optional<Pending> pending(UUID id);

  Underway underway(CrewId by, FlightId departure);

  /** Begins one; a second beginning of the same changes nothing. */
  void begin(Pending pending);

  /** Adds bytes behind those that are here. @param from how many those are */
  void add(UUID id, int from, byte[] part);

  /** All bytes that are here. */
  byte[] bytes(UUID id);

  /** Keeps the picture, and forgets its parts. */
  void keep(Photo photo);

  /** Forgets one that turned out not to be a picture. */
  void drop(UUID id);

  /** Forgets those that began before then and never became whole. */
  void dropBefore(Instant then);

  Optional<Photo> find(UUID id);
}
