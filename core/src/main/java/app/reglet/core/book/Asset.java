package app.reglet.core.book;

/**
 * A picture that is kept with a title.
 *
 * @param sha SHA-256 of its file, in hex
 * @param name what the file was called
 * @param licence by what right it is used
 * @param source where it comes from, as typed; empty when nobody said
 * @param credit the line that names its maker, empty for none
 */
public record Asset(String sha, String name, Licence licence, String source, String credit) {
  /** Longest source or credit, characters. */
  public static final int LONGEST = 300;

  /** Of which nothing is known yet. */
  public static Asset of(String sha, String name) {
    return new Asset(sha, name, Licence.UNKNOWN, "", "");
  }

  /** Whether its maker must be named where it is used. */
  public boolean owesCredit() {
    return licence == Licence.OPEN_WITH_CREDIT;
  }
}
