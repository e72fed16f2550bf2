package app.reglet.press.pageinks;

/**
 * A page, or something on it, can't be given in inks with its letters and pictures as they are: it
 * is drawn as pixels instead.
 */
final class NotInInks extends RuntimeException {
  private static final long serialVersionUID = 1;

  /**
   * @param why what it is that can't
   */
  NotInInks(String why) {
    super(why, null, false, false);
  }
}
