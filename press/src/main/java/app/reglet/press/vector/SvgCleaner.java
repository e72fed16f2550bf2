package app.reglet.press.vector;

import app.reglet.core.Refusal;
import app.reglet.press.reading.Budget;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import javax.xml.stream.XMLStreamWriter;

/**
 * An SVG without what a drawing in vectors has no use for: scripts, handlers, what lies elsewhere,
 * pictures, filters, masks, animations. What changes how it looks is counted, so that it can be
 * told. Element and attribute names are those of SVG 2 (W3C Candidate Recommendation, 2018).
 */
final class SvgCleaner {
  private static final String SVG = "http://www.w3.org/2000/svg";
  private static final String XLINK = "http://www.w3.org/1999/xlink";

  private static final int MOST_ELEMENTS = 20_000;
  private static final int DEEPEST = 100;

  /** Never seen in a drawing: nothing is lost with them. */
  private static final Set<String> IDLE =
      Set.of("title", "desc", "metadata", "view", "cursor", "link");

  private static final Map<String, String> LOST =
      Map.ofEntries(
          Map.entry("script", "script"),
          Map.entry("image", "picture"),
          Map.entry("foreignObject", "part that is not SVG"),
          Map.entry("iframe", "part that is not SVG"),
          Map.entry("video", "part that is not SVG"),
          Map.entry("audio", "part that is not SVG"),
          Map.entry("canvas", "part that is not SVG"),
          Map.entry("filter", "filter"),
          Map.entry("mask", "mask"),
          Map.entry("animate", "animation"),
          Map.entry("animateMotion", "animation"),
          Map.entry("animateTransform", "animation"),
          Map.entry("animateColor", "animation"),
          Map.entry("set", "animation"));

  private static final Pattern ELSEWHERE =
      Pattern.compile("url\\s*\\(\\s*['\"]?\\s*(?!#)[^)]", Pattern.CASE_INSENSITIVE);
  private static final Pattern IMPORT =
      Pattern.compile("@(import|font-face)[^;}]*[;}]?", Pattern.CASE_INSENSITIVE);

  private final Budget budget;
  private final Map<String, Integer> lost = new TreeMap<>();
  private final Set<String> fonts = new TreeSet<>();
  private int elements;
  private boolean words;

  private SvgCleaner(Budget budget) {
    this.budget = budget;
  }

  /**
   * What is left, and what is not.
   *
   * @param lost how many of each kind were left out
   */
  record Clean(byte[] svg, Map<String, Integer> lost) {}

  static Clean clean(byte[] file, Budget budget) {
    SvgCleaner cleaner = new SvgCleaner(budget);
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      XMLStreamReader in = input().createXMLStreamReader(new ByteArrayInputStream(file));
      XMLStreamWriter to =
          XMLOutputFactory.newInstance().createXMLStreamWriter(out, StandardCharsets.UTF_8.name());
      cleaner.copy(in, to);
      to.flush();
    } catch (XMLStreamException e) {
      throw damaged(e);
    }
    if (cleaner.words) {
      throw new Refusal(
          "file",
          "This drawing has words set in "
              + (cleaner.fonts.isEmpty() ? "a font" : String.join(", ", cleaner.fonts))
              + ", which an SVG does not bring with it: turn them into outlines where it was drawn, and choose it again.");
    }
    return new Clean(out.toByteArray(), cleaner.lost);
  }

  private static Refusal damaged(XMLStreamException e) {
    int line = e.getLocation() == null ? -1 : e.getLocation().getLineNumber();
    boolean entity = String.valueOf(e.getMessage()).contains("was referenced, but not declared");
    return new Refusal(
        "file",
        entity
            ? "This SVG uses entities of its own (line "
                + line
                + "), which Reglet does not follow: save it as plain SVG and choose it again."
            : "This SVG is damaged at line "
                + line
                + " and can't be read: save it anew and choose it again.");
  }

  private static XMLInputFactory input() {
    XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
    factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    factory.setProperty(XMLInputFactory.IS_COALESCING, true);
    factory.setXMLResolver((p, s, b, n) -> new ByteArrayInputStream(new byte[0]));
    return factory;
  }

  private void copy(XMLStreamReader in, XMLStreamWriter to) throws XMLStreamException {
    int depth = 0;
    while (in.hasNext()) {
      switch (in.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          count();
          if (depth == 0 && !isSvg(in, "svg")) {
            throw new Refusal(
                "file", "This file is no SVG: it begins with <" + in.getLocalName() + ">.");
          }
          if (depth > DEEPEST) {
            throw new Refusal(
                "file",
                "This drawing is more than "
                    + DEEPEST
                    + " groups deep; a sound one has a few: ungroup it where it was drawn.");
          }
          if (depth > 0 && isLost(in)) {
            skip(in);
          } else {
            depth++;
            element(in, to, depth == 1);
          }
        }
        case XMLStreamConstants.END_ELEMENT -> {
          depth--;
          to.writeEndElement();
        }
        case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> {
          if (depth > 0) {
            to.writeCharacters(style(in.getText()));
          }
        }
        case XMLStreamConstants.ENTITY_REFERENCE ->
            throw new XMLStreamException(
                "an entity was referenced, but not declared", in.getLocation());
        default -> {} // comments, instructions, the document type
      }
    }
  }

  private void count() {
    budget.object();
    if (++elements > MOST_ELEMENTS) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "This drawing has more than %,d elements, more than a cover can carry: simplify it, or save it as a picture of 300 ppi.",
              MOST_ELEMENTS));
    }
  }

  /** Files without a namespace are taken for what they are meant to be. */
  private static boolean isSvg(XMLStreamReader in, String name) {
    String space = in.getNamespaceURI();
    return in.getLocalName().equals(name)
        && (space == null || space.isEmpty() || space.equals(SVG));
  }

  private boolean isLost(XMLStreamReader in) {
    String space = in.getNamespaceURI();
    String name = in.getLocalName();
    if (space != null && !space.isEmpty() && !space.equals(SVG) || IDLE.contains(name)) {
      return true;
    }
    if (name.equals("text")) {
      words = true;
      font(in);
    }
    String what = LOST.get(name);
    if (what != null && !name.equals("filter") && !name.equals("mask")) {
      lost.merge(what, 1, Integer::sum);
    }
    return what != null; // filters and masks are counted where they are used
  }

  private void font(XMLStreamReader in) {
    String family = in.getAttributeValue(null, "font-family");
    if (family != null && fonts.size() < 3) {
      fonts.add("“" + family.split(",")[0].replaceAll("['\"]", "").strip() + "”");
    }
  }

  private void skip(XMLStreamReader in) throws XMLStreamException {
    for (int depth = 1; depth > 0; ) {
      switch (in.next()) {
        case XMLStreamConstants.START_ELEMENT -> {
          count();
          font(in);
          depth++;
        }
        case XMLStreamConstants.END_ELEMENT -> depth--;
        default -> {}
      }
    }
  }

  private void element(XMLStreamReader in, XMLStreamWriter to, boolean root)
      throws XMLStreamException {
    to.writeStartElement(in.getLocalName());
    if (root) {
      to.writeDefaultNamespace(SVG);
    }
    for (int i = 0; i < in.getAttributeCount(); i++) {
      String space = in.getAttributeNamespace(i);
      String name = in.getAttributeLocalName(i);
      String value = in.getAttributeValue(i);
      boolean own = space == null || space.isEmpty();
      if (name.equals("href") && (own || space.equals(XLINK))) {
        if (value.strip().startsWith("#")) {
          to.writeAttribute("href", value.strip());
        } else if (!in.getLocalName().equals("a")) {
          lost.merge("part that lies in another file", 1, Integer::sum);
        }
      } else if (own && isKept(name, value)) {
        to.writeAttribute(name, style(value));
      }
    }
  }

  private boolean isKept(String name, String value) {
    if (name.toLowerCase(Locale.ROOT).startsWith("on")) {
      lost.merge("script", 1, Integer::sum);
      return false;
    }
    if ((name.equals("filter") || name.equals("mask")) && !value.strip().equals("none")) {
      lost.merge(name, 1, Integer::sum);
      return false;
    }
    return true;
  }

  /** Styles and values without what lies elsewhere. */
  private String style(String text) {
    String left = IMPORT.matcher(text).replaceAll("");
    if (!left.equals(text)) {
      lost.merge("style that lies in another file", 1, Integer::sum);
    }
    var elsewhere = ELSEWHERE.matcher(left);
    if (elsewhere.find()) {
      lost.merge("part that lies in another file", 1, Integer::sum);
      left = left.replaceAll("(?i)url\\s*\\(\\s*['\"]?\\s*(?!#)[^)]*\\)", "none");
    }
    for (String effect : new String[] {"filter", "mask"}) {
      String without = left.replaceAll("(?i)(^|[;{\\s])" + effect + "\\s*:\\s*url[^;}]*", "$1");
      if (!without.equals(left)) {
        lost.merge(effect, 1, Integer::sum);
        left = without;
      }
    }
    return left;
  }
}
