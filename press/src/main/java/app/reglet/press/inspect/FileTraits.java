package app.reglet.press.inspect;

import java.util.List;

/**
 * What a PDF carries beside its pages, and how it is meant to be printed, as its objects say (ISO
 * 32000-1; PDF/X by ISO 15930).
 *
 * @param producer what made it, as it says; empty for nothing
 * @param locked whether it is encrypted, though it asks for no password
 * @param forbidden what its maker forbids, {@code printing}
 * @param intents for which it is made
 * @param layers names of its layers
 * @param fields of its form
 * @param xfa whether its form is one of XML
 * @param scripts places where JavaScript stands
 * @param attached names of files in it
 * @param notes annotations on all pages
 * @param profiles descriptions of the colour profiles in it
 * @param standards that it says it keeps, {@code PDF/X-4}
 * @param unkeptX1a what it does not keep of PDF/X-1a:2003, in words; of the first pages
 * @param unkeptX4 what it does not keep of PDF/X-4
 */
public record FileTraits(
    String producer,
    boolean locked,
    List<String> forbidden,
    List<Intent> intents,
    List<String> layers,
    int fields,
    boolean xfa,
    int scripts,
    List<String> attached,
    int notes,
    List<String> profiles,
    List<String> standards,
    List<String> unkeptX1a,
    List<String> unkeptX4) {
  /** Those of a picture. */
  public static final FileTraits NONE =
      new FileTraits(
          "", false, List.of(), List.of(), List.of(), 0, false, 0, List.of(), 0, List.of(),
          List.of(), List.of(), List.of());

  /**
   * A printing condition that a file is made for.
   *
   * @param kind {@code GTS_PDFX}
   * @param condition its identifier, or what it is called; empty for none
   * @param profile description of its profile, empty for none
   * @param sum SHA-256 of the profile, in hex; empty for none
   */
  public record Intent(String kind, String condition, String profile, String sum) {}
}
