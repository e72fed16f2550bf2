package app.reglet.core.book;

/** By what right a picture is on a book that is sold. */
public enum Licence {
  UNKNOWN("not known yet"),
  OWN("our own"),
  PUBLIC_DOMAIN("public domain"),
  /** Free for all who name its maker. */
  OPEN_WITH_CREDIT("open, with a credit"),
  FOR_GOODS("bought for goods"),
  /** For an advertisement, a page, a talk: goods that are sold are not among it. */
  FOR_ONE_USE("bought for one use");

  private final String title;

  Licence(String title) {
    this.title = title;
  }

  /** As people read it. */
  public String title() {
    return title;
  }

  /** Whether it covers goods that are sold. */
  public boolean coversGoods() {
    return this != UNKNOWN && this != FOR_ONE_USE;
  }
}
