package neatlanyard.core.fleet;

/**
 * Why something is not allowed to somebody, in words for them to read.
 *
 * @param code for programs
 * @param what what is wrong
 * @param tryThis what to do next
 */
public record Refusal(RefusalCode code, String what, String tryThis) {}
