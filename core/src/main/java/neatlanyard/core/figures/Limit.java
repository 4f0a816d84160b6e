package neatlanyard.core.figures;

/**
 * Something that must hold for a take-off, and whether it does.
 *
 * @param what in a few words, such as "take-off weight"
 * @param words with the numbers, one sentence
 * @param source where the limit comes from
 */
public record Limit(String what, boolean held, String words, String source) {}
