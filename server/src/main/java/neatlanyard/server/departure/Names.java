package neatlanyard.server.departure;

import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.state.DepartureState;

/** Names of the crew, as they are read on a screen. */
final class Names {
  private Names() {}

  /** The whole name; the id of somebody who is not on the crew. */
  static String whole(DepartureState d, CrewId who) {
    return d.opened().crew().stream().filter(m -> m.id().equals(who)).map(CrewMember::name).findFirst()
        .orElse(who.value());
  }

  /** The family name, which is what one reads fastest on a tag. */
  static String family(DepartureState d, CrewId who) {
    return d.opened().crew().stream().filter(m -> m.id().equals(who)).map(CrewMember::family).findFirst()
        .orElse(who.value());
  }
}
