package neatlanyard.core.dispatch;

/** How bad a find is, as the one who sees it says. */
public enum Severity {
  MARK("A mark: nothing missing, nothing loose"),
  DEFECT("A defect: missing, broken, out of limits"),
  DANGER("A danger: not to be flown like this");

  private final String words;

  Severity(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
