package app.reglet.press.type;

import app.reglet.core.book.Emphasised;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Setting.Breaks;
import app.reglet.core.design.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Sets words in a frame: breaks lines, finds the size, and leaves placing them to a block. */
public final class Setter {
  private static final double HAIR = Block.HAIR;
  private static final Pattern LINE_BREAK = Pattern.compile("\\R");

  /** Breaks are looked for again with less room where lines come out wider than was reckoned. */
  private static final int TRIES = 4;

  private final Words words;
  private final Typeface face;
  private final Lettering lettering;
  private final double space;
  private final List<Paragraph> paragraphs = new ArrayList<>();

  /** Where each paragraph begins in the text of the lettering. */
  private final List<Integer> begins = new ArrayList<>();

  private final Map<Line, SetLine> shaped = new HashMap<>();

  /** How far ink may stand out left of a line's start and right of its end, in ems: italics do. */
  private double outLeft;

  private double outRight;

  /** A line of a paragraph, between two of its places. */
  record Line(int paragraph, int from, int to, boolean last) {}

  private Setter(Words words, Emphasised text, Typefaces faces, String language) {
    this.words = words;
    this.face = faces.orStandIn(words.type().face());
    this.lettering = new Lettering(words.type(), text, faces, Locale.forLanguageTag(language));
    this.space = face.shape(" ", 0).advance();
    Optional<Hyphenation> parting =
        words.setting().hyphenated() ? Hyphenation.of(language) : Optional.empty();
    String all = lettering.text();
    int end = all.stripTrailing().length();
    int from = all.length() - all.stripLeading().length();
    Matcher breaks = LINE_BREAK.matcher(all).region(from, end);
    while (breaks.find()) {
      paragraph(from, breaks.start(), parting, language);
      from = breaks.end();
    }
    paragraph(from, end, parting, language);
  }

  private void paragraph(int from, int to, Optional<Hyphenation> parting, String language) {
    int start = from;
    int end = to;
    String all = lettering.text();
    while (start < end && Character.isWhitespace(all.charAt(start))) {
      start++;
    }
    while (end > start && Character.isWhitespace(all.charAt(end - 1))) {
      end--;
    }
    Paragraph paragraph =
        new Paragraph(
            all.substring(start, end).replace('\t', ' '),
            lettering.styles().subList(start, end),
            words.type().tracking() / 1000.0,
            parting,
            language);
    outLeft = Math.max(outLeft, paragraph.outLeft());
    outRight = Math.max(outRight, paragraph.outRight());
    paragraphs.add(paragraph);
    begins.add(start);
  }

  /**
   * Sets words.
   *
   * @param words how
   * @param text what
   * @param faces to set it in
   * @param language by whose rules words are parted and letters become capitals, a BCP 47 tag
   * @param width of the frame along the lines, mm
   * @param height of the frame across the lines, mm
   */
  public static SetWords set(
      Words words, Emphasised text, Typefaces faces, String language, double width, double height) {
    if (text.text().isBlank()) {
      return new SetWords(words.type().size().toMm(), List.of(), false, "", Set.of());
    }
    return new Setter(words, text, faces, language).fitted(width, height);
  }

  /** The largest size in mm whose lines, ascender to descender, stand in this height. */
  public static double largestIn(Typeface face, double height) {
    return height / (face.ascent() + face.descent());
  }

  private SetWords fitted(double width, double height) {
    double size = words.type().size().toMm();
    Block block =
        switch (words.type().fit()) {
          case SIZE -> block(size, width);
          case AT_MOST -> largest(size, width, height);
          case LARGEST -> largest(TypeSizes.LARGEST, width, height);
          case WIDTH -> stacked(width, height);
        };
    return new SetWords(
        block.least(),
        block.placed(width, height),
        !block.fits(width, height),
        lettering.missing(),
        lettering.lacks());
  }

  private Block largest(double most, double width, double height) {
    return block(
        TypeSizes.largest(most, s -> canFit(s, width, height), s -> fits(s, width, height)), width);
  }

  /** Whether as few lines as there could be would stand in a frame: quick to tell. */
  private boolean canFit(double size, double width, double height) {
    boolean justified = words.setting().align() == Setting.Align.JUSTIFIED;
    double room = width / size + (words.setting().hanging() ? 2 : 0);
    double least = 0;
    for (Paragraph paragraph : paragraphs) {
      least += paragraph.leastLines(room, justified ? Breaking.SHRINK * space : 0);
    }
    return canStand(least, size, height);
  }

  private boolean fits(double size, double width, double height) {
    List<Line> lines = broken(size, width);
    return canStand(lines.size(), size, height) && block(lines, l -> size).fits(width, height);
  }

  /** Whether baselines of so many lines can be within a height, or an em out of it. */
  private boolean canStand(double lines, double size, double height) {
    return (lines - 1) * words.setting().leading() * size <= height + size;
  }

  private Block block(double size, double width) {
    return block(broken(size, width), l -> size);
  }

  private Block block(List<Line> lines, ToDoubleFunction<SetLine> sizes) {
    List<Block.Row> rows = new ArrayList<>();
    for (Line line : lines) {
      SetLine shape = shaped(line);
      Paragraph of = paragraphs.get(line.paragraph());
      boolean hangs = words.setting().hanging();
      rows.add(
          new Block.Row(
              shape,
              sizes.applyAsDouble(shape),
              line.from() == 0 && line.paragraph() > 0,
              line.last(),
              of.isLeftwards(),
              hangs ? of.hangsFirst(line.from(), line.to()) : 0,
              hangs ? of.hangsLast(line.from(), line.to()) : 0,
              origins(line, shape)));
    }
    return new Block(words, face, rows, space, outLeft, outRight);
  }

  private int[] origins(Line line, SetLine shape) {
    Paragraph of = paragraphs.get(line.paragraph());
    int from = begins.get(line.paragraph()) + of.start(line.from());
    int to = from + of.text(line.from(), line.to()).length();
    return lettering.origins(from, to, shape.text().length() - (to - from));
  }

  private SetLine shaped(Line line) {
    return shaped.computeIfAbsent(line, l -> paragraphs.get(l.paragraph()).line(l.from(), l.to()));
  }

  /** The lines at a size. */
  private List<Line> broken(double size, double width) {
    double room = width / size - outLeft - outRight;
    List<Line> lines = new ArrayList<>();
    for (int p = 0; p < paragraphs.size(); p++) {
      double first = room - (p > 0 ? words.setting().indent() : 0);
      double less = 0;
      List<Line> found = List.of();
      for (int i = 0; i < TRIES; i++) {
        found =
            lines(
                p,
                new Breaking(paragraphs.get(p), words.setting(), first - less, room - less, space)
                    .lines());
        double over = over(found, first, room);
        if (over <= HAIR) {
          break;
        }
        less += over;
      }
      lines.addAll(found);
    }
    return lines;
  }

  /** How much wider than its room the widest line came out that could be shorter. */
  private double over(List<Line> lines, double first, double room) {
    double over = 0;
    for (Line line : lines) {
      if (line.to() - line.from() > 1 && words.setting().align() != Setting.Align.JUSTIFIED) {
        Paragraph of = paragraphs.get(line.paragraph());
        double hangs = words.setting().hanging() ? of.hangs(line.from(), line.to()) : 0;
        over = Math.max(over, shaped(line).advance() - hangs - (line.from() == 0 ? first : room));
      }
    }
    return over;
  }

  private static List<Line> lines(int paragraph, List<Integer> places) {
    if (places.size() == 1) { // a blank line between paragraphs is a line
      return List.of(new Line(paragraph, 0, 0, true));
    }
    List<Line> lines = new ArrayList<>();
    for (int i = 1; i < places.size(); i++) {
      lines.add(new Line(paragraph, places.get(i - 1), places.get(i), i == places.size() - 1));
    }
    return lines;
  }

  /**
   * Every line as wide as the frame: those that were typed, or, where breaks are to be balanced, as
   * many of each paragraph as fill the height best.
   */
  private Block stacked(double width, double height) {
    Block best = null;
    int most = words.setting().breaks() == Breaks.BALANCED ? mostLines() : 1;
    for (int n = 1; n <= most; n++) {
      List<Line> lines = new ArrayList<>();
      for (int p = 0; p < paragraphs.size(); p++) {
        Paragraph of = paragraphs.get(p);
        if (of.places() > 1) {
          lines.addAll(lines(p, new Breaking(of, words.setting(), 1e9, 1e9, space).balanced(n)));
        }
      }
      Block block =
          block(
              lines,
              l ->
                  l.ink().getWidth() == 0
                      ? words.type().size().toMm()
                      : Math.min(TypeSizes.LARGEST, width / l.ink().getWidth()));
      if (best == null || block.fits(width, height)) {
        best = block;
      }
    }
    return best;
  }

  private int mostLines() {
    return Math.min(12, paragraphs.stream().mapToInt(p -> p.places() - 1).max().orElse(1));
  }
}
