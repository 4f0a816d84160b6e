package neatlanyard.core.state;

/** How a step stands. */
public enum Status {
  /** Nobody has said anything of it. */
  OPEN,
  /** One of the seats that must answer has. */
  PART,
  DONE,
  /** It was done, but what it made sure of was opened again since. */
  AGAIN,
  /** Put aside, to be looked at again. */
  LATER,
  NOT_TODAY,
  FIND;

  /** Whether nothing more is asked for. */
  public boolean settled() {
    return this == DONE || this == NOT_TODAY || this == FIND;
  }
}
