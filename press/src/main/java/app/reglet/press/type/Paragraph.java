package app.reglet.press.type;

import app.reglet.press.type.SetLine.Part;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.awt.geom.Rectangle2D;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A paragraph and the places where its lines may break: those of Unicode Standard Annex #14, and
 * within words where the patterns of its language part them. Measured once, in ems; what a line
 * takes is the sum over its characters, without the spaces at its end.
 */
final class Paragraph {
  private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{M}’']+");

  private final String text;
  private final List<Style> styles;
  private final double tracking;
  private final boolean leftwards;

  /** Where lines may begin: 0, then each place, last the end. */
  private final int[] places;

  /** Where what stands before each place ends without the spaces there. */
  private final int[] ends;

  /** Whether a hyphen stands before the break at each place. */
  private final boolean[] hyphens;

  /** Up to each character, the advance of all before it. */
  private final double[] advance;

  /** Up to each character, the spaces before it. */
  private final int[] spaces;

  private final double[] hang;
  private final double hyphen;
  private final double outLeft;
  private final double outRight;

  /**
   * @param text without line breaks
   * @param styles of its characters
   * @param tracking in ems
   * @param parting by what words are parted, if they are
   * @param language a BCP 47 tag
   */
  Paragraph(
      String text,
      List<Style> styles,
      double tracking,
      Optional<Hyphenation> parting,
      String language) {
    this.text = text;
    this.styles = styles;
    this.tracking = tracking;
    this.leftwards = !new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT).baseIsLeftToRight();
    TreeMap<Integer, Boolean> found = places(parting, language);
    places = found.keySet().stream().mapToInt(i -> i).toArray();
    ends = IntStream.of(places).map(this::withoutSpaces).toArray();
    hyphens = new boolean[places.length];
    for (int i = 0; i < places.length; i++) {
      hyphens[i] = found.get(places[i]);
    }
    SetLine whole = Shaping.line(text, styles, tracking, leftwards);
    double[] widths = widths(whole, tracking);
    double[] out = overhangs(whole);
    outLeft = out[0];
    outRight = out[1];
    advance = new double[text.length() + 1];
    spaces = new int[text.length() + 1];
    hang = new double[text.length()];
    for (int i = 0; i < text.length(); i++) {
      advance[i + 1] = advance[i] + widths[i];
      spaces[i + 1] = spaces[i] + (SetLine.isSpace(text.charAt(i)) ? 1 : 0);
      hang[i] = Hanging.share(text.charAt(i)) * (widths[i] - tracking);
    }
    hyphen =
        text.isEmpty() ? 0 : Shaping.line("-", styles.subList(0, 1), tracking, false).advance();
  }

  private TreeMap<Integer, Boolean> places(Optional<Hyphenation> parting, String language) {
    TreeMap<Integer, Boolean> found = new TreeMap<>();
    BreakIterator breaks = BreakIterator.getLineInstance(ULocale.forLanguageTag(language));
    breaks.setText(text);
    for (int at = breaks.first(); at != BreakIterator.DONE; at = breaks.next()) {
      found.put(at, at > 0 && text.charAt(at - 1) == Shaping.SOFT_HYPHEN);
    }
    parting.ifPresent(
        rules -> {
          Matcher words = WORD.matcher(text);
          while (words.find()) {
            for (int part : rules.parts(words.group())) {
              found.putIfAbsent(words.start() + part, true);
            }
          }
        });
    return found;
  }

  /** What each character takes, each glyph's share put down to its first. */
  private static double[] widths(SetLine line, double tracking) {
    double[] widths = new double[line.text().length()];
    List<Part> parts = line.parts();
    for (int p = 0; p < parts.size(); p++) {
      Part part = parts.get(p);
      double end = p + 1 < parts.size() ? parts.get(p + 1).x() : line.advance() + tracking;
      double[] x = part.line().x();
      for (int i = 0; i < x.length; i++) {
        double next = i + 1 < x.length ? part.x() + x[i + 1] * part.scale() : end;
        widths[part.from() + part.line().chars()[i]] += next - part.x() - x[i] * part.scale();
      }
    }
    return widths;
  }

  /** A word as it is seen: where it starts and ends, and where its ink does. */
  private static final class Seen {
    private double start = Double.POSITIVE_INFINITY;
    private double end = Double.NEGATIVE_INFINITY;
    private double inkStart = Double.POSITIVE_INFINITY;
    private double inkEnd = Double.NEGATIVE_INFINITY;

    void add(double x, double width, Rectangle2D ink, double scale) {
      start = Math.min(start, x);
      end = Math.max(end, x + width);
      if (!ink.isEmpty()) {
        inkStart = Math.min(inkStart, x + ink.getMinX() * scale);
        inkEnd = Math.max(inkEnd, x + ink.getMaxX() * scale);
      }
    }
  }

  /** How far ink stands out left of any word and right of any. */
  private double[] overhangs(SetLine line) {
    TreeMap<Integer, Seen> words = new TreeMap<>();
    for (int i = 0; i < places.length; i++) {
      if (!hyphens[i]) {
        words.put(places[i], new Seen());
      }
    }
    for (Part part : line.parts()) {
      ShapedLine run = part.line();
      for (int i = 0; i < run.glyphs().length; i++) {
        int c = part.from() + run.chars()[i];
        if (!Character.isWhitespace(text.charAt(c))) {
          words
              .floorEntry(c)
              .getValue()
              .add(
                  part.x() + run.x()[i] * part.scale(),
                  part.face().advance(run.glyphs()[i]) * part.scale(),
                  part.face().inkOf(run.glyphs()[i]),
                  part.scale());
        }
      }
    }
    double left = 0;
    double right = 0;
    for (Seen word : words.values()) {
      if (word.inkStart < word.inkEnd) {
        left = Math.max(left, word.start - word.inkStart);
        right = Math.max(right, word.inkEnd - word.end);
      }
    }
    return new double[] {left, right};
  }

  boolean isLeftwards() {
    return leftwards;
  }

  /** How far ink may stand out left of a line's start, in ems: italics do. */
  double outLeft() {
    return outLeft;
  }

  /** How far it may stand out right of a line's end. */
  double outRight() {
    return outRight;
  }

  /** How many places there are, the beginning and the end among them; two at least. */
  int places() {
    return places.length;
  }

  /** Where in the text lines may begin: its beginning, each place, its end. */
  List<Integer> starts() {
    return IntStream.of(places).boxed().toList();
  }

  /** Where in the text a place is. */
  int start(int place) {
    return places[place];
  }

  /** Whether a word is parted at a place. */
  boolean parts(int place) {
    return hyphens[place];
  }

  /** What stands between two places, without spaces at its end. */
  String text(int from, int to) {
    return text.substring(places[from], end(from, to));
  }

  private int end(int from, int to) {
    return Math.max(places[from], ends[to]);
  }

  private int withoutSpaces(int place) {
    int end = place;
    while (end > 0 && isEndSpace(text.charAt(end - 1))) {
      end--;
    }
    return end;
  }

  private static boolean isEndSpace(char c) {
    return Character.isWhitespace(c) || c == Shaping.SOFT_HYPHEN;
  }

  /** What a line between two places takes, in ems, a hyphen at its end with it. */
  double width(int from, int to) {
    double width = advance[end(from, to)] - advance[places[from]];
    return width + (hyphens[to] ? hyphen : width == 0 ? 0 : -tracking);
  }

  /**
   * No fewer lines than these are possible.
   *
   * @param room for a line and what hangs out of it, in ems
   * @param shrunk what each space between words may be narrower, in ems
   */
  double leastLines(double room, double shrunk) {
    int n = places.length - 1;
    double dropped = 0;
    for (int place = 1; place < n; place++) {
      dropped = Math.max(dropped, advance[places[place]] - advance[ends[place]]);
    }
    dropped += Math.max(0, tracking);
    double all = width(0, n) - shrunk * spaces(0, n);
    return Math.max(1, Math.ceil((all + dropped) / (room + dropped) - 1e-6));
  }

  /** How many spaces between words a line has. */
  int spaces(int from, int to) {
    return spaces[end(from, to)] - spaces[places[from]];
  }

  /**
   * How far marks hang out at the beginning and at the end of a line between two places, in ems.
   */
  double hangs(int from, int to) {
    return hangsFirst(from, to) + hangsLast(from, to);
  }

  /** How far the mark hangs out that a line begins with. */
  double hangsFirst(int from, int to) {
    return end(from, to) > places[from] ? hang[places[from]] : 0;
  }

  /** How far the mark hangs out that a line ends with. */
  double hangsLast(int from, int to) {
    int end = end(from, to);
    return hyphens[to] ? Hanging.share('-') * hyphen : end > places[from] ? hang[end - 1] : 0;
  }

  /** The line between two places. */
  SetLine line(int from, int to) {
    int end = end(from, to);
    List<Style> of = styles.subList(places[from], end);
    String said = text.substring(places[from], end);
    if (hyphens[to] && !said.isEmpty()) {
      List<Style> with = new ArrayList<>(of);
      with.add(of.get(of.size() - 1));
      return Shaping.line(said + Shaping.SOFT_HYPHEN, with, tracking, leftwards);
    }
    return Shaping.line(said, of, tracking, leftwards);
  }
}
