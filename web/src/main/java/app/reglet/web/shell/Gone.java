package app.reglet.web.shell;

/** What was asked for is not here. The message is a sentence for a person. */
public final class Gone extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Gone(String sentence) {
    super(sentence, null, false, false);
  }
}
