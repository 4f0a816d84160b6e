package neatlanyard.core.fleet;

/** A tail as the fleet lists it; what it has fitted stands in the pack of its type. */
public record Registered(TailId id, TypeId type) {}
