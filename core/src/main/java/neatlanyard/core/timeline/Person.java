package neatlanyard.core.timeline;

/** Somebody who is busy with one activity at a time. @param name such as "Right seat" */
public record Person(PersonId id, String name) {}
