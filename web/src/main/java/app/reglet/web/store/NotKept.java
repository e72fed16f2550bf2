package app.reglet.web.store;

/** A change could not be brought to the disk. The message is a sentence for a person. */
public final class NotKept extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NotKept(String sentence, Throwable cause) {
    super(sentence, cause);
  }
}
