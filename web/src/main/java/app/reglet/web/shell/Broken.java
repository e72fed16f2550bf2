package app.reglet.web.shell;

/**
 * Something that is kept here can't be read any more. It is shown as broken, with a way out, and
 * nothing else fails with it. The message is a sentence for a person.
 */
public class Broken extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final String address;
  private final String way;
  private final String label;

  /**
   * @param address where the button that mends it is sent
   * @param way what the button says to that address
   * @param label what the button says to a person
   */
  protected Broken(String sentence, String address, String way, String label) {
    super(sentence, null, false, false);
    this.address = address;
    this.way = way;
    this.label = label;
  }

  public String address() {
    return address;
  }

  public String way() {
    return way;
  }

  public String label() {
    return label;
  }
}
