package neatlanyard.core.fleet;

/** Somebody who signs in. */
public record CrewMember(CrewId id, String name, Role role) {}
