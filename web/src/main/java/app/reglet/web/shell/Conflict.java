package app.reglet.web.shell;

/** Somebody else saved first; nothing was overwritten. The message is a sentence for a person. */
public final class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Conflict(String sentence) {
    super(sentence, null, false, false);
  }
}
