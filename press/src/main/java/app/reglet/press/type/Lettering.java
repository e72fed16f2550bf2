package app.reglet.press.type;

import app.reglet.core.book.Emphasised;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Type;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The letters of words: each character with the style it is drawn in. */
final class Lettering {
  /** Drawn small capitals stand so much higher than small letters: common practice. */
  private static final double OVER_SMALL = 1.06;

  private static final double LEAST_SCALE = 0.62;
  private static final double MOST_SCALE = 0.85;

  private final Type type;
  private final Typefaces faces;
  private final Typeface face;
  private final StringBuilder text = new StringBuilder();
  private final List<Style> styles = new ArrayList<>();
  private final List<Integer> origins = new ArrayList<>();
  private final Set<Laid.Lack> lacks = EnumSet.noneOf(Laid.Lack.class);
  private final Map<String, Style> made = new HashMap<>();

  /**
   * @param locale by whose rules letters become capitals
   */
  Lettering(Type type, Emphasised words, Typefaces faces, Locale locale) {
    this.type = type;
    this.faces = faces;
    this.face = faces.orStandIn(type.face());
    if (!faces.has(type.face())) {
      lacks.add(Laid.Lack.TYPEFACE);
    }
    for (Emphasised.Stretch s : words.stretches()) {
      Typeface emphasised = emphasised(s);
      String part = words.text().substring(s.from(), s.to());
      String cased = type.letters() == Type.Letters.CAPITALS ? part.toUpperCase(locale) : part;
      for (int i = 0; i < cased.length(); i++) {
        styles.add(style(emphasised, cased, i));
      }
      text.append(cased);
      origins(part, cased, s.from(), locale);
    }
    origins.add(words.text().length());
  }

  /** Capitals may be more letters than what was written. */
  private void origins(String part, String cased, int from, Locale locale) {
    int end = origins.size() + cased.length();
    for (int i = 0; i < part.length(); i++) {
      int letters =
          cased.length() == part.length()
              ? 1
              : part.substring(i, i + 1).toUpperCase(locale).length();
      for (int k = 0; k < letters && origins.size() < end; k++) {
        origins.add(from + i);
      }
    }
    while (origins.size() < end) {
      origins.add(from + part.length() - 1);
    }
  }

  /**
   * Where characters of what is set stand in the words.
   *
   * @param from index of the first in {@link #text()}
   * @param to index of the last, whose place is where the line ends
   * @param more characters after it that stand in no words
   */
  int[] origins(int from, int to, int more) {
    int[] at = new int[to - from + 1 + more];
    for (int i = 0; i < at.length; i++) {
      at[i] = origins.get(Math.min(to, from + i));
    }
    return at;
  }

  /** What is set: in capitals when that is wanted. */
  String text() {
    return text.toString();
  }

  /** The styles of its characters. */
  List<Style> styles() {
    return styles;
  }

  /** What the face has not and is drawn, or not seen. */
  Set<Laid.Lack> lacks() {
    return lacks;
  }

  /** Characters that the faces they are set in have no glyphs for, each once. */
  String missing() {
    StringBuilder missing = new StringBuilder();
    for (int from = 0, to; from < styles.size(); from = to) {
      to = from + 1;
      while (to < styles.size() && styles.get(to).equals(styles.get(from))) {
        to++;
      }
      StringBuilder drawn = new StringBuilder();
      Style style = styles.get(from);
      text.substring(from, to).codePoints().forEach(c -> drawn.append(style.drawn().of(c)));
      style
          .face()
          .missing(drawn.toString())
          .codePoints()
          .filter(c -> missing.indexOf(Character.toString(c)) < 0)
          .forEach(missing::appendCodePoint);
    }
    return missing.toString();
  }

  private Typeface emphasised(Emphasised.Stretch s) {
    Typeface found = face;
    if (s.bold()) {
      found = faces.bolder(found).orElse(found);
      if (found == face) {
        lacks.add(Laid.Lack.BOLD);
      }
    }
    if (s.italic()) {
      Typeface upright = found;
      found = faces.slanted(found).orElse(found);
      if (found == upright) {
        lacks.add(Laid.Lack.ITALIC);
      }
    }
    return found;
  }

  private Style style(Typeface in, String cased, int at) {
    char c = cased.charAt(at);
    boolean small =
        switch (type.letters()) {
          case AS_WRITTEN, CAPITALS -> false;
          case SMALL_CAPITALS -> Character.isLowerCase(c);
          case ALL_SMALL_CAPITALS -> Character.isLetter(c);
        };
    return small
        ? made.computeIfAbsent(in.id() + " small", i -> small(in))
        : made.computeIfAbsent(
            in.id(), i -> new Style(in, 1, type.features(), Style.Drawn.AS_WRITTEN));
  }

  private Style small(Typeface in) {
    if (in.features().containsKey("smcp")) {
      List<String> with = new ArrayList<>(List.of("smcp"));
      with.addAll(type.features());
      return new Style(in, 1, with, Style.Drawn.LOWER);
    }
    lacks.add(Laid.Lack.SMALL_CAPITALS);
    double scale =
        Math.min(
            MOST_SCALE, Math.max(LEAST_SCALE, OVER_SMALL * 2 * in.smallMiddle() / in.capHeight()));
    return new Style(in, scale, type.features(), Style.Drawn.UPPER);
  }
}
