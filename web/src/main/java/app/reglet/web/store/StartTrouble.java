package app.reglet.web.store;

/**
 * Reglet can't start, or a command can't be done, for a reason that lies outside it. The message is
 * a sentence with what to do.
 */
public final class StartTrouble extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public StartTrouble(String sentence) {
    this(sentence, null);
  }

  /**
   * @param cause what went wrong inside, null when the sentence says all
   */
  public StartTrouble(String sentence, Throwable cause) {
    super(sentence, cause, false, false);
  }
}
