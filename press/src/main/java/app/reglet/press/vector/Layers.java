package app.reglet.press.vector;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.parser.Tag;

/**
 * Where an SVG's layers begin and end. The library that draws it spreads the opacity of a group
 * over what is in it, so that two things that overlap in it show through each other; a group is
 * laid down as one (SVG 2, 3.6.2). So opacity is taken off the elements, and what it holds for is
 * put between two flags, rectangles far outside that {@link Recorder} knows by their place.
 */
final class Layers {
  private static final double FAR = -98_765;
  private static final double BEGIN = 3;
  private static final double END = 5;
  private static final double WHOLE = 1000;

  private static final Set<String> CONTAINERS = Set.of("svg", "g", "a", "symbol", "switch");
  private static final Pattern STYLED =
      Pattern.compile("(?<![\\w-])opacity\\s*:\\s*([\\d.]+)(%?)[^;]*;?");

  private Layers() {}

  static void flag(Document document) {
    for (Element e : document.select("[opacity], [style*=opacity]")) {
      OptionalDouble opacity = taken(e);
      if (opacity.isEmpty()
          || opacity.getAsDouble() >= 1
          || e.closest("clipPath") != null
          || e.normalName().equals("stop")) {
        continue;
      }
      Element within = e;
      if (!CONTAINERS.contains(e.tagName())) {
        within = new Element(Tag.valueOf("g", "", org.jsoup.parser.ParseSettings.preserveCase), "");
        if (e.hasAttr("id")) {
          within.attr("id", e.id());
          e.removeAttr("id");
        }
        e.replaceWith(within);
        within.appendChild(e);
      }
      within.prependChild(flag(opacity.getAsDouble() * WHOLE, BEGIN));
      within.appendChild(flag(WHOLE, END));
    }
  }

  /** An element's opacity, which it has no longer. */
  private static OptionalDouble taken(Element e) {
    String found = e.attr("opacity").strip();
    e.removeAttr("opacity");
    Matcher styled = STYLED.matcher(e.attr("style"));
    if (styled.find()) {
      found = styled.group(1) + styled.group(2);
      e.attr("style", styled.replaceAll(""));
    }
    try {
      return found.isEmpty()
          ? OptionalDouble.empty()
          : OptionalDouble.of(
              found.endsWith("%")
                  ? Double.parseDouble(found.substring(0, found.length() - 1)) / 100
                  : Double.parseDouble(found));
    } catch (NumberFormatException none) {
      return OptionalDouble.empty();
    }
  }

  private static Element flag(double width, double height) {
    Element flag =
        new Element(Tag.valueOf("path", "", org.jsoup.parser.ParseSettings.preserveCase), "");
    flag.attr(
        "d",
        String.format(
            Locale.ROOT, "M%.0f %.0fh%.1fv%.1fh%.1fz", FAR, FAR, width + 1, height, -width - 1));
    flag.attr("style", "fill:#000;fill-opacity:1;stroke:none;clip-path:none");
    return flag;
  }

  /** What a flag says, of the shape as it was drawn: the opacity of a layer that begins. */
  static OptionalDouble begins(Shape shape) {
    Rectangle2D b = shape.getBounds2D();
    return isFlag(b, BEGIN)
        ? OptionalDouble.of((b.getWidth() - 1) / WHOLE)
        : OptionalDouble.empty();
  }

  /** Whether a shape is the flag at a layer's end. */
  static boolean ends(Shape shape) {
    return isFlag(shape.getBounds2D(), END);
  }

  private static boolean isFlag(Rectangle2D b, double height) {
    return Math.abs(b.getX() - FAR) < 0.5
        && Math.abs(b.getY() - FAR) < 0.5
        && Math.abs(b.getHeight() - height) < 0.5;
  }
}
