package neatlanyard.core.sop;

/**
 * A finding of the pack check that fleet standards accept.
 *
 * @param rule the rule's name, as the check prints it
 * @param at the step, procedure, panel or tag the finding is at
 * @param reason why it is accepted; shown wherever the finding would be
 */
public record Waiver(String rule, String at, String reason) {}
