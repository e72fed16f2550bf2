package app.reglet.press.inspect;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.check.Laid;
import app.reglet.core.check.Seen;
import app.reglet.core.design.BlackAlone;
import app.reglet.core.design.LinearLight;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Outline;
import app.reglet.press.art.Rect;
import app.reglet.press.barcode.IsbnBarcode;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.inspect.page.PageContent.PlacedPicture;
import app.reglet.press.inspect.page.PageContent.ThinLine;
import app.reglet.press.inspect.page.PageContent.WordRun;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * What is drawn on a file's page as pieces laid on the sheet, so that the very checks that a cover
 * on the bench goes through are made of it. Runs of letters of one font, size and direction whose
 * lines follow each other are one piece, named by its first words.
 */
public final class FileAsLaid {
  private static final double MM_PER_POINT = 25.4 / 72;

  /** Lines farther apart than so many sizes belong to different pieces. */
  private static final double LINES_APART = 2;

  private static final int LONGEST_NAME = 32;

  /** Figures are a barcode's own when they stand so near its bars, mm. */
  private static final double FIGURES_APART = 4;

  /** Black that is no colour of its own, on a screen. */
  private static final int DARK = 0x30;

  private final OnSheet on;
  private final UnaryOperator<String> naming;
  private final Book book;
  private final Predicate<String> fine;
  private final List<Laid> laid = new ArrayList<>();

  /** How words stand out, of those that were measured. */
  private final List<Seen> seen = new ArrayList<>();

  /** Of numbers of barcodes, mm on the page. */
  private final List<Rect> figures = new ArrayList<>();

  private FileAsLaid(OnSheet on, UnaryOperator<String> naming, Book book, Predicate<String> fine) {
    this.on = on;
    this.naming = naming;
    this.book = book;
    this.fine = fine;
  }

  /**
   * What is drawn on a page of a file, each under its own name.
   *
   * @param book whose title is known where it is read
   * @param fine whether a font has fine strokes, by its name
   * @param codes barcodes that were read on the page
   */
  static FileAsLaid of(
      PageContent page,
      Registered on,
      Book book,
      Predicate<String> fine,
      List<FileFacts.Code> codes) {
    return of(page, on, n -> n, book, fine, codes);
  }

  /**
   * The pieces, pictures first, then lines, then words, then barcodes.
   *
   * @param on where they come to lie; what is not seen there is left out
   * @param naming what they are called, from what they are called on the page
   * @param book whose title is known where it is read
   * @param fine whether a font has fine strokes, by its name
   * @param codes barcodes that were read on the page
   */
  public static FileAsLaid of(
      PageContent page,
      OnSheet on,
      UnaryOperator<String> naming,
      Book book,
      Predicate<String> fine,
      List<FileFacts.Code> codes) {
    FileAsLaid in = new FileAsLaid(on, naming, book, fine);
    int n = 0;
    for (PlacedPicture p : page.pictures()) {
      in.picture(p, ++n);
    }
    n = 0;
    for (ThinLine l : page.lines()) {
      in.line(l, ++n);
    }
    for (Block b : blocks(page.words())) {
      in.words(b, codes);
    }
    codes.forEach(in::barcode); // last: nothing is known to lie over what was read
    return in;
  }

  public List<Laid> laid() {
    return List.copyOf(laid);
  }

  /** How its words stand out, of those that were measured. */
  public List<Seen> seen() {
    return List.copyOf(seen);
  }

  private void picture(PlacedPicture p, int n) {
    on.on(p.place())
        .ifPresent(
            place ->
                laid.add(
                    new Laid.Picture(
                        "picture-" + n,
                        naming.apply(
                            "Picture " + n + ", " + p.width() + " × " + p.height() + " pixels"),
                        Outline.of(place),
                        // a pixel more or less is what its size was rounded to
                        p.ppi()
                            / on.most()
                            * (1 + 1.0 / Math.max(1, Math.min(p.width(), p.height()))),
                        "",
                        p.quality())));
  }

  /** With its figures and quiet zones. */
  private void barcode(FileFacts.Code c) {
    Rect bars = c.place();
    boolean lies = bars.width() < bars.height();
    double before = IsbnBarcode.LEFT_QUIET * c.module();
    double both = before + IsbnBarcode.RIGHT_QUIET * c.module();
    Rect symbol =
        lies
            ? new Rect(bars.x(), bars.y() - before, bars.width(), bars.height() + both)
            : new Rect(bars.x() - before, bars.y(), bars.width() + both, bars.height());
    for (Rect f : figures) {
      symbol = isNear(symbol, f) ? symbol.round(f) : symbol;
    }
    on.on(symbol)
        .ifPresent(
            place ->
                laid.add(
                    new Laid.Barcode(
                        "barcode",
                        naming.apply("Barcode"),
                        Outline.of(place),
                        c.module() * on.least() / IsbnBarcode.X,
                        c.reflected(),
                        c.number())));
  }

  private void line(ThinLine l, int n) {
    on.on(l.place())
        .ifPresent(
            place ->
                laid.add(
                    new Laid.Area(
                        "line-" + n,
                        naming.apply((l.points() == 0 ? "Hairline " : "Line ") + n),
                        Outline.of(place),
                        Length.nearMm(Math.max(l.points() * on.least(), 0.01) * MM_PER_POINT),
                        true)));
  }

  /** Lines of words that follow each other. */
  private static final class Block {
    final WordRun first;
    final StringBuilder text;
    final List<Double> contrasts = new ArrayList<>();
    Rect ink;
    Rect last;

    Block(WordRun run) {
      first = run;
      text = new StringBuilder(run.text());
      ink = run.ink();
      last = run.ink();
      contrasts.add(run.contrast());
    }

    boolean takes(WordRun r) {
      if (!r.font().equals(first.font())
          || r.angle() != first.angle()
          || r.rgb() != first.rgb()
          || Math.abs(r.size() - first.size()) > 0.02 * first.size()) {
        return false;
      }
      double most = LINES_APART * first.size() * MM_PER_POINT;
      double x = gap(r.ink().x(), r.ink().right(), last.x(), last.right());
      double y = gap(r.ink().y(), r.ink().bottom(), last.y(), last.bottom());
      return x < most && y < most;
    }

    private static double gap(double from, double to, double from2, double to2) {
      return Math.max(0, Math.max(from2 - to, from - to2));
    }

    void add(WordRun r) {
      text.append(' ').append(r.text());
      ink = ink.round(r.ink());
      last = r.ink();
      contrasts.add(r.contrast());
    }
  }

  private static List<Block> blocks(List<WordRun> runs) {
    List<Block> blocks = new ArrayList<>();
    for (WordRun r : runs) {
      Block before = blocks.isEmpty() ? null : blocks.get(blocks.size() - 1);
      if (before != null && before.takes(r)) {
        before.add(r);
      } else {
        blocks.add(new Block(r));
      }
    }
    return blocks;
  }

  private static boolean isNear(Rect a, Rect b) {
    return Block.gap(a.x(), a.right(), b.x(), b.right()) < FIGURES_APART
        && Block.gap(a.y(), a.bottom(), b.y(), b.bottom()) < FIGURES_APART;
  }

  private void words(Block b, List<FileFacts.Code> codes) {
    Optional<Box> there = on.on(b.ink);
    String text = b.text.toString().strip().replaceAll("\\s+", " ");
    if (text.isEmpty() || there.isEmpty()) {
      return;
    }
    Box ink = there.get();
    if (codes.stream().anyMatch(c -> isOf(text, c.number()))
        || book.isbn().filter(i -> isOf(text, i.digits())).isPresent()) {
      figures.add(b.ink); // the digits below a barcode, read or not
      return;
    }
    String name =
        naming.apply(
            text.length() > LONGEST_NAME ? text.substring(0, LONGEST_NAME).strip() + "…" : text);
    String piece = "words-" + laid.size();
    List<Double> contrasts = b.contrasts.stream().filter(c -> c > 0).sorted().toList();
    if (!contrasts.isEmpty()) {
      double middle = contrasts.get(contrasts.size() / 2);
      double behind = LinearLight.luminance(b.first.rgb());
      seen.add(new Seen(piece, middle, middle, behind, behind, b.first.rgb()));
    }
    laid.add(
        new Laid.Words(
            piece,
            name,
            Outline.of(ink),
            Outline.of(ink),
            Length.nearMm(b.first.size() * on.least() * MM_PER_POINT),
            false,
            "",
            new Laid.Face(
                b.first.font(), b.first.font(), b.first.font(), fine.test(b.first.font())),
            Optional.empty(),
            List.of(),
            List.of(),
            Set.of(),
            new Laid.Said(
                text,
                letters(text).equals(letters(book.title())) ? Fact.TITLE : null,
                inks(b.first),
                isRich(b.first),
                Math.floorMod(b.first.angle() + Math.round(on.turned()), 360)),
            Length.ZERO));
  }

  private static String letters(String text) {
    return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
  }

  /** Whether words are the digits of a barcode, all or a half of them. */
  private static boolean isOf(String text, String number) {
    String figures = text.replaceFirst("(?i)^isbn", "").replaceAll("[\\s>-]", "");
    return figures.length() >= 5 && number.contains(figures);
  }

  private static int inks(WordRun r) {
    if (r.inks().isEmpty()) {
      return r.rgb() == 0xffffff ? 0 : isNeutral(r.rgb()) ? 1 : 3;
    }
    return (int) r.inks().stream().filter(i -> i > 0).count();
  }

  private static boolean isNeutral(int rgb) {
    int r = rgb >> 16 & 0xff;
    int g = rgb >> 8 & 0xff;
    int b = rgb & 0xff;
    return r == g && g == b || Math.max(r, Math.max(g, b)) < DARK;
  }

  private static boolean isRich(WordRun r) {
    return r.inks().size() == 4
        && r.inks().get(3) >= BlackAlone.BLACK
        && r.inks().get(0) + r.inks().get(1) + r.inks().get(2) > 0;
  }
}
