package app.reglet.press.inspect;

import app.reglet.core.house.PressRules;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;

/**
 * What PDF/X-1a:2003 (ISO 15930-4:2003) and PDF/X-4 (ISO 15930-7:2010) ask of a file, clause by
 * clause, as far as its objects tell. Clauses and wording are from memory.
 */
public enum PressStandard {
  VERSION(
      "X-1a 6.1, X-4 6.1",
      "PDF 1.3 or 1.4 (X-1a), at most 1.6 (X-4)",
      f -> f.version <= 1.6,
      f -> f.version <= 1.4 && !f.packedObjects),
  NOT_ENCRYPTED("X-1a 6.15, X-4 6.21", "not encrypted", f -> !f.encrypted),
  NAMED(
      "X-1a 6.12, X-4 6.16",
      "title, creator, producer and both times",
      f ->
          Set.of("Title", "Creator", "Producer", "CreationDate", "ModDate").stream()
              .allMatch(
                  k ->
                      f.info.getString(COSName.getPDFName(k)) != null
                          && !f.info.getString(COSName.getPDFName(k)).isBlank())),
  SAYS_SO(
      "X-1a 6.12, X-4 6.16",
      "says which standard it keeps",
      f ->
          f.xmp.contains(">PDF/X-4</pdfxid:GTS_PDFXVersion>")
              || f.xmp.contains("GTS_PDFXVersion=\"PDF/X-4\""),
      f -> "PDF/X-1a:2003".equals(f.info.getString(COSName.getPDFName("GTS_PDFXVersion")))),
  TRAPPED(
      "X-1a 6.13, X-4 6.17",
      "says whether it is trapped",
      f ->
          f.info.getDictionaryObject(COSName.getPDFName("Trapped")) instanceof COSName n
              && Set.of("True", "False").contains(n.getName())),
  IDENTIFIED(
      "X-1a 6.1, X-4 6.1",
      "an id in two parts",
      f -> f.trailer.getDictionaryObject(COSName.ID) instanceof COSArray a && a.size() == 2),
  OUTPUT_INTENT(
      "X-1a 6.2.2, X-4 6.2.2",
      "one output intent of kind GTS_PDFX, with an identifier and a profile of a press in CMYK",
      PressStandard::hasIntent),
  BOXES(
      "X-1a 6.9, X-4 6.12",
      "a TrimBox, within the BleedBox, within the MediaBox",
      f -> f.pages.stream().allMatch(PressStandard::boxesLieWithin)),
  FONTS("X-1a 6.5, X-4 6.8", "every font embedded", f -> f.loose.isEmpty()),
  COLOURS(
      "X-1a 6.2.3, X-4 6.2.3",
      "colours as inks (X-1a), none of a screen without its profile (X-4)",
      f -> !f.spaces.contains("DeviceRGB") || f.defaultRgb,
      f ->
          Set.of("DeviceCMYK", "DeviceGray", "Separation", "DeviceN", "Indexed")
              .containsAll(f.spaces)),
  TRANSPARENCY(
      "X-1a 6.3", "nothing shows through anything", f -> true, f -> f.shownThrough.isEmpty()),
  FILTERS(
      "X-1a 6.7, X-4 6.10",
      "packed in ways that are allowed",
      f -> !f.filters.contains("LZWDecode") && !f.filters.contains("Crypt"),
      f ->
          f.filters.stream()
              .noneMatch(
                  n -> Set.of("LZWDecode", "Crypt", "JPXDecode", "JBIG2Decode").contains(n))),
  NOTHING_ELSE(
      "X-1a 6.6, 6.10, 6.14, X-4 6.9, 6.13, 6.18",
      "no annotations, actions, layers, forms, stand-ins, PostScript or transfer curves",
      f -> f.oddities.isEmpty()),
  METADATA(
      "X-4 6.16",
      "XMP that says the same as the document information, with a document id, version and"
          + " rendition",
      PressStandard::xmpAgrees,
      f -> true);

  private final String clause;
  private final String wanted;
  private final Predicate<PrintFacts> four;
  private final Predicate<PrintFacts> one;

  PressStandard(String clause, String wanted, Predicate<PrintFacts> both) {
    this(clause, wanted, both, both);
  }

  PressStandard(
      String clause, String wanted, Predicate<PrintFacts> four, Predicate<PrintFacts> one) {
    this.clause = clause;
    this.wanted = wanted;
    this.four = four;
    this.one = one;
  }

  /** Where it stands. */
  public String clause() {
    return clause;
  }

  /** What is asked. */
  public String wanted() {
    return wanted;
  }

  /** How many are asked of a file of a standard; none of a plain one. */
  public static int asked(PressRules.Standard standard) {
    return standard == PressRules.Standard.PLAIN ? 0 : values().length - 1;
  }

  /**
   * Those that a file does not keep.
   *
   * @param file of ours
   * @throws IOException when it is no PDF
   */
  public static Set<PressStandard> broken(Path file, PressRules.Standard standard)
      throws IOException {
    return standard == PressRules.Standard.PLAIN
        ? EnumSet.noneOf(PressStandard.class)
        : broken(PrintFacts.read(file), standard);
  }

  /** Those that a file does not keep. */
  static Set<PressStandard> broken(PrintFacts facts, PressRules.Standard standard) {
    Set<PressStandard> broken = EnumSet.noneOf(PressStandard.class);
    Arrays.stream(values())
        .filter(c -> !(standard == PressRules.Standard.X1A ? c.one : c.four).test(facts))
        .forEach(broken::add);
    return broken;
  }

  private static boolean hasIntent(PrintFacts f) {
    return f.intents.size() == 1
        && f.intents.get(0).identifier() != null
        && f.intents.get(0).inks() == 4
        && f.intents.get(0).isPress();
  }

  private static boolean boxesLieWithin(COSDictionary page) {
    List<Double> media = PrintFacts.box(page, COSName.MEDIA_BOX);
    List<Double> trim = PrintFacts.box(page, COSName.TRIM_BOX);
    List<Double> bleed = PrintFacts.box(page, COSName.BLEED_BOX);
    return !media.isEmpty()
        && !trim.isEmpty()
        && !page.containsKey(COSName.ART_BOX)
        && within(trim, bleed.isEmpty() ? media : bleed)
        && (bleed.isEmpty() || within(bleed, media));
  }

  private static boolean within(List<Double> inner, List<Double> outer) {
    double hair = 0.001;
    return inner.get(0) >= outer.get(0) - hair
        && inner.get(1) >= outer.get(1) - hair
        && inner.get(2) <= outer.get(2) + hair
        && inner.get(3) <= outer.get(3) + hair;
  }

  private static boolean xmpAgrees(PrintFacts f) {
    String title = f.info.getString(COSName.TITLE);
    return title != null
        && f.xmp.contains(escaped(title))
        && f.xmp.contains("DocumentID")
        && f.xmp.contains("VersionID")
        && f.xmp.contains("RenditionClass")
        && f.xmp.contains("MetadataDate")
        && f.xmp.contains("Trapped");
  }

  private static String escaped(String text) {
    return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
  }
}
