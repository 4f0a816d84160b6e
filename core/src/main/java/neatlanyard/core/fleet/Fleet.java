package neatlanyard.core.fleet;

import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;

/** An operator's airfields, tails and crew. @param zone the operator's, in which its days are counted */
public record Fleet(String operator, ZoneId zone, List<Airfield> airfields, List<Registered> tails,
    List<CrewMember> crew) {
  public static final Fleet NONE = new Fleet("", ZoneOffset.UTC, List.of(), List.of(), List.of());

  public Fleet {
    airfields = List.copyOf(airfields);
    tails = List.copyOf(tails);
    crew = List.copyOf(crew);
  }

  public Optional<Airfield> airfield(AirfieldId id) {
    return airfields.stream().filter(a -> a.id().equals(id)).findFirst();
  }

  public Optional<Registered> tail(TailId id) {
    return tails.stream().filter(t -> t.id().equals(id)).findFirst();
  }

  public Optional<CrewMember> member(CrewId id) {
    return crew.stream().filter(c -> c.id().equals(id)).findFirst();
  }
}
