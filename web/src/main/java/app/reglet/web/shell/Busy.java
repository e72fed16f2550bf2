package app.reglet.web.shell;

/** Too much is asked for at once. The message is a sentence for a person. */
public final class Busy extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Busy(String sentence) {
    super(sentence, null, false, false);
  }
}
