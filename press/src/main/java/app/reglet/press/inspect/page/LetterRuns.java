package app.reglet.press.inspect.page;

import app.reglet.press.inspect.page.PageContent.WordRun;
import app.reglet.press.pageinks.SpaceInks;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDVectorFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.util.Vector;

/** Gathers letters that follow each other in one font, size, direction and colour. */
final class LetterRuns {
  private static final int MOST_RUNS = 5000;
  private static final int LONGEST_TEXT = 2000;

  /** What a pattern looks like is not told. */
  static final int PATTERN = 0x808080;

  private final List<WordRun> words = new ArrayList<>();
  private Run run;

  /** What the stretch under way reads as; null where glyphs say it themselves. */
  private String actual;

  /** A run under way. */
  private static final class Run {
    final StringBuilder text = new StringBuilder();
    final PDFont font;
    final double size;
    final int angle;
    final List<Integer> inks;
    final int rgb;
    Rectangle2D ink;
    Point2D next;

    Run(PDFont font, double size, int angle, List<Integer> inks, int rgb) {
      this.font = font;
      this.size = size;
      this.angle = angle;
      this.inks = inks;
      this.rgb = rgb;
    }
  }

  /** What the letters that come read as (ISO 32000-1, 14.9.4); null for what they are. */
  void says(String text) {
    actual = text;
  }

  /**
   * Adds a letter.
   *
   * @param toSheet from text space, where it is one high, to mm of the page as seen
   * @param seen mm of the page: a letter that lies wholly beside it is cut away; empty where
   *     nothing is cut but by the page's own edge
   */
  void add(
      AffineTransform toSheet,
      PDFont font,
      int code,
      Vector displacement,
      PDColor colour,
      Optional<Rectangle2D> seen)
      throws IOException {
    Optional<Rectangle2D> outline = outline(font, code, toSheet);
    if (outline.isPresent() && seen.isPresent() && !outline.get().intersects(seen.get())) {
      return;
    }
    double size = Math.hypot(toSheet.getShearX(), toSheet.getScaleY()) / PageReader.MM_PER_POINT;
    int angle =
        (int) Math.round(Math.toDegrees(Math.atan2(toSheet.getShearY(), toSheet.getScaleX())));
    Point2D start = toSheet.transform(new Point2D.Double(0, 0), null);
    int rgb = colour.isPattern() ? PATTERN : colour.toRGB() & 0xffffff;
    if (run == null
        || run.font != font
        || Math.abs(run.size - size) > 0.02 * size
        || run.angle != angle
        || run.rgb != rgb
        || start.distance(run.next) > 0.75 * size * PageReader.MM_PER_POINT) {
      end();
      run = new Run(font, size, angle, inks(colour), rgb);
    }
    String letter = actual == null ? font.toUnicode(code) : actual;
    actual = actual == null ? null : ""; // of several glyphs the first says it
    if (run.text.length() < LONGEST_TEXT) {
      run.text.append(letter == null ? "\ufffd" : letter);
    }
    outline.ifPresent(box -> run.ink = run.ink == null ? box : run.ink.createUnion(box));
    run.next =
        toSheet.transform(new Point2D.Double(displacement.getX(), displacement.getY()), null);
  }

  private static Optional<Rectangle2D> outline(PDFont font, int code, AffineTransform toSheet)
      throws IOException {
    if (!(font instanceof PDVectorFont vector)) {
      return Optional.empty();
    }
    Path2D outline = vector.getNormalizedPath(code);
    if (outline == null || outline.getBounds2D().isEmpty()) {
      return Optional.empty();
    }
    AffineTransform whole = new AffineTransform(toSheet);
    whole.concatenate(font.getFontMatrix().createAffineTransform());
    return Optional.of(outline.createTransformedShape(whole).getBounds2D());
  }

  /** Percent of each ink; none of a screen's colour or a pattern. */
  private static List<Integer> inks(PDColor colour) throws IOException {
    PDColorSpace space = colour.getColorSpace();
    if (colour.isPattern()
        || space instanceof PDIndexed
        || space.getNumberOfComponents() == 3 && !(space instanceof PDDeviceN)) {
      return List.of();
    }
    float[] of = SpaceInks.of(space, rgb -> 0).of(colour.getComponents());
    List<Integer> out = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      out.add(Math.round(100 * of[i]));
    }
    return out;
  }

  /** Keeps the run under way. */
  private void end() {
    if (run != null && run.ink != null && words.size() < MOST_RUNS) {
      words.add(
          new WordRun(
              run.text.toString(),
              name(run.font),
              run.size,
              PageReader.rect(run.ink),
              run.angle,
              run.inks,
              run.rgb,
              0));
    }
    run = null;
  }

  /** All of them; nothing comes after. */
  List<WordRun> all() {
    end();
    return List.copyOf(words);
  }

  private static String name(PDFont font) {
    String name = font.getName() == null ? "(unnamed)" : font.getName();
    return name.matches("[A-Z]{6}\\+.*") ? name.substring(7) : name;
  }
}
