package neatlanyard.core.departure;

/**
 * Why an event is not allowed, for a crew member to read.
 *
 * @param code stable, for programs
 * @param what what is wrong
 * @param tryThis what to do next
 */
public record Refusal(String code, String what, String tryThis) {}
