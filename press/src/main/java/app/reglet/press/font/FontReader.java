package app.reglet.press.font;

import app.reglet.core.Refusal;
import app.reglet.press.reading.Budget;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Reads a font that somebody brought: TrueType or OpenType with cubic curves, one or a collection,
 * packed for the web or not, variable or not. What it is made of is written anew.
 */
public final class FontReader {
  /** Glyphs of all faces together that are written at once. */
  private static final int MOST_GLYPHS = 150_000;

  private final FontDesk desk;
  private final Budget budget;
  private final String fileName;
  private final Set<String> notes = new LinkedHashSet<>();
  private final List<FontFacts.Face> faces = new ArrayList<>();

  /** What is done with each face's file. */
  public interface FontDesk {
    /** Whether letters can be set with it. */
    boolean works(byte[] file);

    /** Keeps it and tells its SHA-256 in hex. */
    String keep(byte[] file);
  }

  private FontReader(String fileName, Budget budget, FontDesk desk) {
    this.fileName = fileName;
    this.budget = budget;
    this.desk = desk;
  }

  /**
   * Reads a font and writes its faces: those of a collection, the named places of a variable one.
   *
   * @param fileName what it is called after if it has no name in it
   * @throws Refusal when it can't or may not be used
   */
  public static FontFacts read(byte[] file, String fileName, Budget budget, FontDesk desk) {
    return new FontReader(fileName, budget, desk).whole(file);
  }

  /**
   * Writes one more face of a variable font.
   *
   * @param place on its axes by their tags, in their own figures
   * @throws Refusal when it has no such place
   */
  public static FontFacts.Face cut(
      byte[] file, String fileName, Map<String, Double> place, Budget budget, FontDesk desk) {
    FontReader reader = new FontReader(fileName, budget, desk);
    try {
      One font = reader.one(tables(file).get(0));
      expect(font, place);
      return reader.face(font, "", place);
    } catch (Refusal r) {
      throw r;
    } catch (RuntimeException e) {
      throw Damaged.font("a table of it ends too early, or leads out of it.");
    }
  }

  private static void expect(One font, Map<String, Double> place) {
    if (font.axes().isEmpty()) {
      throw new Refusal("file", "This font has no axes: it is as it is.");
    }
    for (Axis a : font.axes().axes()) {
      double v = place.getOrDefault(a.tag(), a.usual());
      if (!(v >= a.least() && v <= a.most())) {
        throw new Refusal(a.tag(), a.name() + " goes from " + a.ends() + ".");
      }
    }
  }

  private FontFacts whole(byte[] file) {
    try {
      List<FontTables> fonts = tables(file);
      List<One> ones = new ArrayList<>();
      long glyphs = 0;
      for (FontTables t : fonts) {
        ones.add(one(t));
        glyphs += Advances.glyphs(t);
      }
      if (glyphs > MOST_GLYPHS) {
        throw new Refusal(
            "file",
            String.format(
                Locale.ROOT,
                "The collection holds %d fonts with %,d glyphs together; up to %,d can be read at once: bring the fonts you need as files of their own.",
                fonts.size(),
                glyphs,
                MOST_GLYPHS));
      }
      ones.forEach(this::write);
      One first = ones.get(0);
      return new FontFacts(
          first.family(), first.embedding(), first.axes().axes(), faces, List.copyOf(notes));
    } catch (Refusal r) {
      throw r;
    } catch (RuntimeException e) {
      throw Damaged.font("a table of it ends too early, or leads out of it.");
    }
  }

  /** The fonts in a file. */
  private static List<FontTables> tables(byte[] file) {
    String kind = file.length < 12 ? "" : new String(file, 0, 4, StandardCharsets.ISO_8859_1);
    try {
      return switch (kind) {
        case "\0\1\0\0", "OTTO", "true" -> List.of(new FontTables(file));
        case "ttcf" -> collection(ByteBuffer.wrap(file));
        case "wOFF" -> List.of(Woff.unpack(file));
        case "wOF2" ->
            throw new Refusal(
                "file",
                "This font is packed as WOFF 2, for web pages alone: bring its TTF or OTF file.");
        default ->
            throw new Refusal(
                "file",
                "This is no font that Reglet knows: it takes TTF, OTF, TTC and WOFF files.");
      };
    } catch (IllegalArgumentException e) {
      throw Damaged.font(
          e.getMessage().substring(0, 1).toLowerCase(Locale.ROOT) + e.getMessage().substring(1));
    }
  }

  private static List<FontTables> collection(ByteBuffer file) {
    long count = file.getInt(8) & 0xffffffffL;
    if (count == 0 || count > FontLimits.MOST_FACES) {
      throw new Refusal(
          "file",
          "The collection holds "
              + count
              + " fonts; one of 1 to "
              + FontLimits.MOST_FACES
              + " can be read: bring the fonts as files of their own.");
    }
    List<FontTables> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      all.add(new FontTables(file.array(), file.getInt(12 + i * 4) & 0xffffffffL));
    }
    return all;
  }

  /** A font, and what it says of itself. */
  private record One(
      FontTables tables,
      FontNames names,
      String family,
      Embedding embedding,
      Axes axes,
      int unitsPerEm) {}

  private One one(FontTables tables) {
    Embedding embedding = Embedding.of(tables);
    FontNames names = FontNames.of(tables);
    String family =
        names
            .name(FontNames.FAMILY_OF_MANY)
            .or(() -> names.name(FontNames.FAMILY))
            .or(() -> names.name(FontNames.FULL))
            .orElse("");
    if (family.isEmpty()) {
      notes.add("It has no name in it, so it is called after its file.");
      family = fileName.replaceFirst("\\.[A-Za-z0-9]{1,5}$", "");
    }
    family = FontNames.brief(family);
    if (!embedding.allowed()) {
      throw new Refusal("file", embedding.said());
    }
    if (!tables.has("glyf") && !tables.has("CFF ")) {
      throw new Refusal(
          "file",
          tables.has("CFF2")
              ? "“%s” is a variable font with cubic curves (CFF2), which Reglet can't read yet: bring its variable TTF, or the weights you need as OTF files."
                  .formatted(family)
              : "“%s” has no outlines, only pictures of its letters, which can't be printed at any size: bring a font with outlines."
                  .formatted(family));
    }
    ByteBuffer head = tables.table("head").orElse(null);
    if (head == null || head.capacity() < 54) {
      throw Damaged.font("it has no head.");
    }
    int unitsPerEm = head.getShort(18) & 0xffff;
    if (unitsPerEm < 16 || unitsPerEm > 16_384) {
      throw Damaged.font("it has %d units to the em; 16 to 16,384 can be.", unitsPerEm);
    }
    if (tables.has("COLR") || tables.has("SVG ") || tables.has("sbix") || tables.has("CBDT")) {
      notes.add("Its glyphs in several colours are drawn in one.");
    }
    return new One(tables, names, family, embedding, new Axes(tables, names), unitsPerEm);
  }

  private void write(One font) {
    if (font.axes().isEmpty()) {
      faces.add(face(font, style(font), Map.of()));
      return;
    }
    List<Axes.Named> named = font.axes().named();
    int each = Advances.glyphs(font.tables());
    int room = Math.min(FontLimits.MOST_FACES - faces.size(), Math.max(1, MOST_GLYPHS / each));
    if (named.isEmpty()) {
      faces.add(face(font, style(font), usual(font)));
    } else if (named.size() > room) {
      notes.add(
          "It has "
              + named.size()
              + " named cuts, of which only the usual one is here: add those you need by their figures.");
      faces.add(face(font, style(font), usual(font)));
    } else {
      named.forEach(n -> faces.add(face(font, n.name(), n.at())));
    }
  }

  private static String style(One font) {
    return font.names()
        .name(FontNames.STYLE_OF_MANY)
        .or(() -> font.names().name(FontNames.STYLE))
        .orElse("");
  }

  private static Map<String, Double> usual(One font) {
    Map<String, Double> usual = new java.util.LinkedHashMap<>();
    font.axes().axes().forEach(a -> usual.put(a.tag(), a.usual()));
    return usual;
  }

  private FontFacts.Face face(One font, String style, Map<String, Double> place) {
    budget.expectTime();
    boolean italic = FontStyle.isItalic(font.tables(), place);
    int weight = FontStyle.weight(font.tables(), place);
    String called = FontNames.brief(style.isEmpty() ? told(font, place) : style);
    FaceWriter writer =
        new FaceWriter(font.tables(), font.axes(), place, font.unitsPerEm(), budget);
    writer.named(font.names(), font.family(), called, italic);
    byte[] file = writer.file(true);
    if (!desk.works(file)) {
      file = writer.file(false);
      notes.add("Its kerning, ligatures and forms are damaged and left out.");
      if (!desk.works(file)) {
        throw Damaged.font("no letter can be set with it.");
      }
    }
    notes.addAll(writer.notes());
    return new FontFacts.Face(desk.keep(file), font.family(), called, weight, italic, place);
  }

  /** A place on the axes in words: {@code Weight 540, Width 87.5}. */
  private static String told(One font, Map<String, Double> place) {
    List<String> parts = new ArrayList<>();
    for (Axis a : font.axes().axes()) {
      parts.add(a.name() + " " + Axis.plain(place.getOrDefault(a.tag(), a.usual())));
    }
    return parts.isEmpty() ? "Regular" : String.join(", ", parts);
  }
}
