package neatlanyard.core.sop;

/**
 * Name of a procedure, unique in its pack.
 *
 * @param value a procedure name: up to 40 lower-case letters, digits or hyphens
 */
public record ProcedureId(String value) {
  public ProcedureId {
    if (!value.matches("[a-z0-9][a-z0-9-]{0,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a procedure name: up to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
