package app.reglet.core;

/**
 * Something a person gave can't be used as it stands. The message is a sentence they can read: what
 * is wrong, with a figure, and a way out. It never carries a stack trace to a page.
 */
public final class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String field;

  /**
   * @param field the name of the field or the path in the document, empty when it concerns the
   *     whole
   * @param sentence what is wrong and what would do
   */
  public Refusal(String field, String sentence) {
    super(sentence, null, false, false);
    this.field = field;
  }

  /** A refusal of the whole, not of one field. */
  public Refusal(String sentence) {
    this("", sentence);
  }

  /** The field or document path that is refused; empty when it is the whole. */
  public String field() {
    return field;
  }

  /** The same refusal, told of another field. */
  public Refusal at(String otherField) {
    return new Refusal(otherField, getMessage());
  }
}
