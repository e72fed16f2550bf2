package app.reglet.press.vector;

import app.reglet.press.reading.Budget;
import java.awt.Color;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Parser;
import org.jsoup.select.Selector.SelectorParseException;

/**
 * Style sheets of an SVG written into its elements, and colours in the notations that the reader of
 * drawings knows: any selector is followed, by specificity and order (CSS 2.2, 6.4.3).
 */
final class Styles {
  private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
  private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");
  private static final Pattern ID = Pattern.compile("#[\\w-]+");
  private static final Pattern CLASS = Pattern.compile("\\.[\\w-]+|\\[[^]]*]|(?<!:):[\\w-]+");
  private static final Pattern TAG = Pattern.compile("(^|[\\s>+~])[a-zA-Z][\\w-]*");
  private static final Pattern HSL =
      Pattern.compile(
          "hsla?\\(\\s*(-?[\\d.]+)(deg)?[\\s,]+([\\d.]+)%[\\s,]+([\\d.]+)%\\s*(?:[,/]\\s*([\\d.]+%?)\\s*)?\\)",
          Pattern.CASE_INSENSITIVE);

  /** A rule for one selector. */
  private record Rule(String selector, String declarations, int weight) {}

  private Styles() {}

  static byte[] inlined(byte[] svg, Budget budget) {
    String text = hsl(new String(svg, StandardCharsets.UTF_8));
    if (!text.contains("<style") && !text.contains("opacity")) {
      return text.getBytes(StandardCharsets.UTF_8);
    }
    Document document = Jsoup.parse(text, "", Parser.xmlParser());
    document.outputSettings().prettyPrint(false);
    inline(document, budget);
    Layers.flag(document);
    return document.outerHtml().getBytes(StandardCharsets.UTF_8);
  }

  private static void inline(Document document, Budget budget) {
    List<Rule> rules = new ArrayList<>();
    for (Element style : document.select("style")) {
      read(style.wholeText() + style.data(), rules);
      style.remove();
    }
    rules.sort(Comparator.comparingInt(Rule::weight)); // stable: later ones of a weight win
    for (Rule rule : rules) {
      budget.object();
      try {
        for (Element e : document.select(rule.selector())) {
          budget.object();
          e.attr("data-sheet", e.attr("data-sheet") + rule.declarations() + ";");
        }
      } catch (SelectorParseException | IllegalArgumentException e) {
        // a selector that is none matches nothing
      }
    }
    for (Element e : document.select("[data-sheet]")) {
      e.attr("style", e.attr("data-sheet") + e.attr("style"));
      e.removeAttr("data-sheet");
    }
  }

  private static void read(String sheet, List<Rule> rules) {
    Matcher m = RULE.matcher(COMMENT.matcher(sheet).replaceAll(" "));
    while (m.find()) {
      for (String selector : m.group(1).split(",")) {
        String s = selector.strip();
        if (!s.isEmpty() && !s.startsWith("@")) {
          rules.add(new Rule(s, m.group(2).replace("!important", "").strip(), weight(s)));
        }
      }
    }
  }

  private static int weight(String selector) {
    return (int)
        (10_000 * ID.matcher(selector).results().count()
            + 100 * CLASS.matcher(selector).results().count()
            + TAG.matcher(selector).results().count());
  }

  /** Hue, saturation and lightness as red, green and blue (CSS Color 4, 7.1). */
  private static String hsl(String text) {
    return HSL.matcher(text).replaceAll(Styles::rgb);
  }

  private static String rgb(MatchResult m) {
    double hue = Double.parseDouble(m.group(1)) / 360;
    double saturation = Math.min(1, Double.parseDouble(m.group(3)) / 100);
    double lightness = Math.min(1, Double.parseDouble(m.group(4)) / 100);
    double value = lightness + saturation * Math.min(lightness, 1 - lightness);
    double of = value == 0 ? 0 : 2 * (1 - lightness / value);
    Color c = Color.getHSBColor((float) hue, (float) of, (float) value);
    String alpha = m.group(5) == null ? "1" : m.group(5);
    return String.format(
        Locale.ROOT, "rgba(%d,%d,%d,%s)", c.getRed(), c.getGreen(), c.getBlue(), alpha);
  }
}
