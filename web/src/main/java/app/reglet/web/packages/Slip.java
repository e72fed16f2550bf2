package app.reglet.web.packages;

import app.reglet.core.Refusal;
import app.reglet.core.book.Asset;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a title's package says of itself, {@code package.json}; docs/package.md tells the format.
 *
 * @param format {@link #FORMAT}
 * @param reglet the version that wrote it
 * @param book the facts of the title as they were typed
 * @param pictures those kept with the title, and by what right they are used
 * @param editions in the order in which they were made
 * @param files pictures, drawings and PDFs that covers show
 * @param fonts that are kept with the title
 */
record Slip(
    String format,
    String reglet,
    BookFacts book,
    List<Asset> pictures,
    List<Edition> editions,
    List<Kept> files,
    List<Font> fonts) {
  static final String FORMAT = "reglet-package/1";
  static final String NAME = "package.json";
  private static final int LONGEST = 500;
  private static final int LONGEST_TEXT = 20_000;
  private static final int MOST_EDITIONS = 200;
  private static final int MOST_FILES = 1000;
  private static final int MOST_LET_BE = 500;
  private static final Pattern SHA = Pattern.compile("[0-9a-f]{64}");

  private static final JsonMapper JSON =
      JsonMapper.builder(
              JsonFactory.builder()
                  .streamReadConstraints(
                      StreamReadConstraints.builder()
                          .maxNestingDepth(30)
                          .maxStringLength(1_000_000)
                          .build())
                  .build())
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  /** The facts of a title; each as it was typed. */
  record BookFacts(
      String title,
      String subtitle,
      String author,
      String imprint,
      String blurb,
      String isbn,
      String price,
      String series,
      String number,
      String quote,
      String about,
      String edition,
      String date,
      String language,
      String ownFacts) {
    /** Without characters that are no text. */
    BookFacts plain() {
      return new BookFacts(
          plain(title),
          plain(subtitle),
          plain(author),
          plain(imprint),
          plain(blurb),
          plain(isbn),
          plain(price),
          plain(series),
          plain(number),
          plain(quote),
          plain(about),
          plain(edition),
          plain(date),
          plain(language),
          plain(ownFacts));
    }

    private static String plain(String text) {
      return text.replaceAll("[\\p{Cntrl}&&[^\n\t]]", "");
    }

    private Stream<String> brief() {
      return Stream.of(
          title, subtitle, author, imprint, isbn, price, series, number, edition, date, language);
    }

    private Stream<String> texts() {
      return Stream.of(blurb, quote, about, ownFacts);
    }
  }

  /**
   * An edition.
   *
   * @param facts by name, a text each or null
   * @param sheet the file of the rule sheet it is measured by
   * @param revision the number of the design in force; 0 for an empty cover
   * @param revisions those designs that are in it
   * @param carried where it was carried from; null for nowhere
   * @param refitted what its design follows its facts from; null for itself
   * @param letBe findings that are let be; null for none
   */
  record Edition(
      Map<String, String> facts,
      String sheet,
      int revision,
      List<Revision> revisions,
      Carried carried,
      Refitted refitted,
      List<LetBe> letBe) {}

  /**
   * A finding that somebody lets be.
   *
   * @param said what was found, in millimetres
   */
  record LetBe(String code, String piece, String said, String reason) {
    private Stream<String> texts() {
      return Stream.of(code, piece, said, reason);
    }
  }

  /** A design. */
  record Revision(int number, int parent, String what, Instant made, String design) {}

  /**
   * Where an edition was carried from.
   *
   * @param from the place of its origin in {@link Slip#editions}, from 0
   * @param originRevision the origin's design that it is compared with
   * @param revision its own first that came of it
   * @param bases other revisions that single things are compared with; -1 never offers them again
   */
  record Carried(int from, int originRevision, int revision, Map<String, Integer> bases) {}

  /** The design, and the facts it was composed for, that an edition follows its facts from. */
  record Refitted(int baseRevision, Map<String, String> baseFacts, int revision) {}

  /**
   * A file that covers show, {@code files/<sha>}.
   *
   * @param kind {@code picture}, {@code drawing} or {@code pdf}
   * @param name what it was called
   */
  record Kept(String sha, String kind, String name) {}

  /**
   * A font, {@code files/<sha>}.
   *
   * @param name what its file was called
   * @param faces those of it that are in use
   */
  record Font(String sha, String name, List<Face> faces) {}

  /**
   * A face.
   *
   * @param id as designs name it
   * @param family its family and style
   * @param place on the axes of a variable font, by tag
   */
  record Face(String id, String family, Map<String, Double> place) {}

  byte[] write() {
    return JSON.writerWithDefaultPrettyPrinter().writeValueAsBytes(this);
  }

  /**
   * Reads one.
   *
   * @throws Refusal when it is none, or says what can't be
   */
  static Slip read(byte[] json) {
    try {
      String format = JSON.readTree(json).path("format").asString("");
      if (!format.equals(FORMAT)) {
        throw new Refusal(
            format.startsWith("reglet-package/")
                ? "This package is of format “"
                    + brief(format)
                    + "”, made by a newer Reglet; this one reads “"
                    + FORMAT
                    + "”."
                : "This is no package of a title: its package.json does not say “" + FORMAT + "”.");
      }
      Slip slip = JSON.readValue(json, Slip.class);
      slip.expectSound();
      return slip;
    } catch (UnrecognizedPropertyException e) {
      throw new Refusal(
          "The package.json of this package can't be read: it says “"
              + brief(e.getPropertyName())
              + "”, which is not known here.");
    } catch (JacksonException e) {
      throw new Refusal(
          "The package.json of this package can't be read: it is no JSON of the form that "
              + FORMAT
              + " has.");
    }
  }

  private static String brief(String text) {
    return text.length() > 160 ? text.substring(0, 160) + "…" : text;
  }

  private void expectSound() {
    if (book == null || pictures == null || editions == null || files == null || fonts == null) {
      throw wrong("a part of it is missing");
    }
    if (book.brief().anyMatch(t -> t == null || t.length() > LONGEST)
        || book.texts().anyMatch(t -> t == null || t.length() > LONGEST_TEXT)) {
      throw wrong("a fact of the title is missing or too long");
    }
    if (book.title().isBlank()) {
      throw wrong("the title has no name");
    }
    if (editions.isEmpty() || editions.size() > MOST_EDITIONS) {
      throw wrong("it has " + editions.size() + " editions, not 1 to " + MOST_EDITIONS);
    }
    if (files.size() + fonts.size() + pictures.size() > MOST_FILES) {
      throw wrong("it names more than " + MOST_FILES + " files");
    }
    for (Edition e : editions) {
      expectSound(e);
    }
    for (Kept k : files) {
      expectNamed(k == null ? null : k.sha(), k == null ? null : k.name());
      if (k.kind() == null) {
        throw wrong("a file has no kind");
      }
    }
    for (Font f : fonts) {
      expectNamed(f == null ? null : f.sha(), f == null ? null : f.name());
      if (f.faces() == null || f.faces().stream().anyMatch(x -> x == null || x.id() == null)) {
        throw wrong("a font has no faces");
      }
    }
    for (Asset a : pictures) {
      if (a == null || a.sha() == null || !SHA.matcher(a.sha()).matches() || a.licence() == null) {
        throw wrong("a picture of the title has no sum or no licence");
      }
      if (Stream.of(a.name(), a.source(), a.credit())
          .anyMatch(t -> t == null || t.length() > LONGEST)) {
        throw wrong("what is said of a picture of the title is missing or too long");
      }
    }
  }

  private void expectSound(Edition e) {
    if (e == null || e.facts() == null || e.sheet() == null || e.revisions() == null) {
      throw wrong("an edition is not whole");
    }
    if (e.facts().values().stream().anyMatch(v -> v != null && v.length() > LONGEST)) {
      throw wrong("a fact of an edition is too long");
    }
    if (e.revision() != 0
        && e.revisions().stream().noneMatch(r -> r != null && r.number() == e.revision())) {
      throw wrong("the design in force of an edition, revision " + e.revision() + ", is missing");
    }
    for (Revision r : e.revisions()) {
      if (r == null
          || r.number() < 1
          || r.parent() < 0
          || r.what() == null
          || r.made() == null
          || r.design() == null) {
        throw wrong("a revision is not whole");
      }
    }
    if (e.letBe() != null
        && (e.letBe().size() > MOST_LET_BE
            || e.letBe().stream()
                .anyMatch(
                    l ->
                        l == null
                            || l.texts().anyMatch(t -> t == null || t.length() > 4 * LONGEST)
                            || l.code().length() > 60
                            || l.piece().length() > 200
                            || l.reason().isBlank()
                            || l.reason().length() > LONGEST))) {
      throw wrong("a finding that is let be has no reason, or says too much");
    }
    Carried c = e.carried();
    if (c != null
        && (c.from() < 0 || c.from() >= editions.size() || editions.get(c.from()).equals(e))) {
      throw wrong("an edition says it was carried from one that is not in it");
    }
  }

  private static void expectNamed(String sha, String name) {
    if (sha == null || !SHA.matcher(sha).matches() || name == null || name.length() > LONGEST) {
      throw wrong("a file has no sum or no name");
    }
  }

  private static Refusal wrong(String what) {
    return new Refusal("This package can't be taken in: " + what + ".");
  }
}
