package app.reglet.web.store;

/** The disk has no room for what was to be kept. The message is a sentence for a person. */
public final class NoRoom extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NoRoom(String sentence) {
    super(sentence, null, false, false);
  }
}
