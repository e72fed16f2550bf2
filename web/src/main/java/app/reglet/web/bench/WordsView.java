package app.reglet.web.bench;

import app.reglet.core.check.Laid;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;
import app.reglet.press.type.Hyphenation;
import app.reglet.press.type.Typeface;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * How words are set, as the title block shows it.
 *
 * @param lines how their lines stand, in a few words
 * @param forms capitals and forms of the face's own that are put to use, in a few words
 * @param features the features of the face, for the ticks
 * @param figures the feature that figures have, empty for those the face comes with
 * @param drawn what the face lacks for these words, a sentence; empty for nothing
 */
public record WordsView(
    String lines, String forms, List<Feature> features, String figures, String drawn) {
  /** Lining and old figures are one choice, and small capitals one of the letters. */
  private static final Set<String> ELSEWHERE = Set.of("lnum", "onum", "smcp", "c2sc");

  /**
   * A feature of the face.
   *
   * @param tag its OpenType tag
   * @param on whether it is put to use
   */
  public record Feature(String tag, String name, boolean on) {}

  static WordsView of(Words words, Typeface face, Set<Laid.Lack> lacks) {
    List<Feature> features =
        face.features().entrySet().stream()
            .filter(f -> !ELSEWHERE.contains(f.getKey()))
            .sorted(java.util.Map.Entry.comparingByKey())
            .map(
                f ->
                    new Feature(
                        f.getKey(), f.getValue(), words.type().features().contains(f.getKey())))
            .toList();
    long on = words.type().features().stream().filter(face.features()::containsKey).count();
    String figures =
        words.type().features().stream()
            .filter(f -> f.equals("lnum") || f.equals("onum"))
            .findFirst()
            .orElse("");
    return new WordsView(
        lines(words.setting()),
        forms(words.type().letters(), on),
        features,
        figures,
        drawn(face, lacks));
  }

  /** The languages that words can be parted in. */
  public List<Hyphenation.Language> languages() {
    return Hyphenation.known();
  }

  private static String forms(Type.Letters letters, long forms) {
    String said = letters.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    return forms == 0 ? said : said + (forms == 1 ? ", 1 form" : ", " + forms + " forms");
  }

  /** A figure as it is typed: {@code 0.5}. */
  public String figure(double figure) {
    return TitleBlock.plain(figure, 3);
  }

  private static String lines(Setting s) {
    List<String> said = new ArrayList<>();
    said.add(s.align().name().toLowerCase(Locale.ROOT));
    said.add(s.vertical().name().toLowerCase(Locale.ROOT).replace('_', ' '));
    if (s.direction() != Setting.Direction.LEVEL) {
      said.add(s.direction() == Setting.Direction.DOWN ? "downwards" : "upwards");
    }
    if (s.breaks() != Setting.Breaks.FULL) {
      said.add(s.breaks().name().toLowerCase(Locale.ROOT));
    }
    return String.join(", ", said);
  }

  private static String drawn(Typeface face, Set<Laid.Lack> lacks) {
    List<String> said = new ArrayList<>();
    if (lacks.contains(Laid.Lack.SMALL_CAPITALS)) {
      said.add(face.name() + " has no small capitals: smaller capitals stand for them.");
    }
    if (lacks.contains(Laid.Lack.ITALIC)) {
      said.add(face.name() + " has no italics beside it: emphasis is not seen.");
    }
    if (lacks.contains(Laid.Lack.BOLD)) {
      said.add(face.name() + " has no bolder face: strong emphasis is not seen.");
    }
    return String.join(" ", said);
  }
}
