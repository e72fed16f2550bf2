package app.reglet.web.store;

/**
 * Reglet can't start, or a command can't be done, for a reason that lies outside it. The message is
 * a sentence with what to do.
 */
public final class StartTrouble extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public StartTrouble(String sentence) {
    super(sentence, null, false, false);
  }
}
