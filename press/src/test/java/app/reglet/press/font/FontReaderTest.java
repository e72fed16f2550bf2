package app.reglet.press.font;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.press.Specimen;
import app.reglet.press.art.Artwork;
import app.reglet.press.compose.Composer;
import app.reglet.press.compose.Pictures;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.type.BroughtFaces;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.testing.Extent;
import app.reglet.testing.Tool;
import java.awt.Shape;
import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.PathIterator;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.DeflaterOutputStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Fonts that people bring are read rightly, and those that can't be used are refused. */
public class FontReaderTest {
  private static final byte[] SPECTRAL = Typefaces.shipped().get("spectral").file();

  /** What a program of reference says of each glyph: advance, area, bounds. */
  private static final String MEASURE =
      """
      import sys
      from fontTools.ttLib import TTFont
      from fontTools.varLib import instancer
      from fontTools.pens.areaPen import AreaPen
      from fontTools.pens.boundsPen import BoundsPen
      font = TTFont(sys.argv[1])
      if len(sys.argv) > 2:
          font = instancer.instantiateVariableFont(
              font, dict((a.split('=')[0], float(a.split('=')[1])) for a in sys.argv[2:]))
      glyphs = font.getGlyphSet()
      for name in font.getGlyphOrder():
          area, bounds = AreaPen(glyphs), BoundsPen(glyphs)
          glyphs[name].draw(area)
          glyphs[name].draw(bounds)
          print(glyphs[name].width, area.value, *(bounds.bounds or (0, 0, 0, 0)))
      """;

  private static List<double[]> measured(Path font, String... place) {
    List<String> command = new ArrayList<>();
    command.add("/usr/bin/python3");
    command.add(Tool.file("measure.py", MEASURE.getBytes(StandardCharsets.UTF_8)).toString());
    command.add(font.toString());
    command.addAll(List.of(place));
    return Tool.ok(command.toArray(String[]::new))
        .lines()
        .map(l -> List.of(l.split(" ")).stream().mapToDouble(Double::parseDouble).toArray())
        .toList();
  }

  @Test
  public void everyGlyphOfAVariableFontIsWhatTheReferenceMakesOfThatPlace() {
    Brought.Read read =
        Brought.cut(Brought.file(Brought.VARIABLE), Map.of("wght", 650.0, "slnt", -4.0));
    List<double[]> ours = measured(Tool.file("ours.ttf", read.files().get(0)));
    List<double[]> theirs = measured(Brought.VARIABLE, "wght=650", "slnt=-4");
    assertThat(ours).hasSameSizeAs(theirs).hasSizeGreaterThan(2000);
    for (int i = 0; i < ours.size(); i++) {
      double[] a = ours.get(i);
      double[] b = theirs.get(i);
      assertThat(a[0]).as("advance of %d", i).isCloseTo(b[0], within(1.0));
      for (int k = 2; k < 6; k++) {
        // parts of composites are rounded before and after they are put together
        assertThat(a[k]).as("bounds of %d", i).isCloseTo(b[k], within(2.0));
      }
      double around = b[4] - b[2] + b[5] - b[3];
      assertThat(a[1]).as("area of %d", i).isCloseTo(b[1], within(10 + 4 * around));
    }
  }

  @DataProvider
  Object[][] kerned() {
    return new Object[][] {
      {"AVATAR To Ly, fi", 650, -4}, {"WAVE P. Ta", 100, 0}, {"Type. VA (“Yo”)", 900, -10}
    };
  }

  @Test(dataProvider = "kerned")
  public void lettersOfAPlaceOnTheAxesStandAsTheReferenceShapesThem(
      String text, int wght, int slnt) {
    Brought.Read read =
        Brought.cut(
            Brought.file(Brought.VARIABLE), Map.of("wght", (double) wght, "slnt", (double) slnt));
    String theirs = shaped(Brought.VARIABLE, text, "--variations=wght=" + wght + ",slnt=" + slnt);
    String ours = shaped(Tool.file("ours.ttf", read.files().get(0)), text);
    assertThat(figures(ours)).isEqualTo(figures(theirs));
    assertThat(figures(shaped(Brought.VARIABLE, text))).isNotEqualTo(figures(theirs));
  }

  private static String shaped(Path font, String text, String... more) {
    List<String> command =
        new ArrayList<>(List.of("hb-shape", "--no-glyph-names", "--font-file=" + font));
    command.addAll(List.of(more));
    command.add("--text-file=" + Tool.file("words.txt", text.getBytes(StandardCharsets.UTF_8)));
    return Tool.ok(command.toArray(String[]::new));
  }

  @DataProvider
  Object[][] places() {
    return new Object[][] {{100}, {400}, {500}, {600}, {650}, {700}, {900}};
  }

  /** A font of our own with all that changes along an axis, against both programs of reference. */
  @Test(dataProvider = "places", groups = Extent.LONG)
  public void aBentAxisMovingPartsAndFormsThatChangeAreAsTheReferencesHaveThem(int wght)
      throws Exception {
    Path script =
        Tool.file(
            "bent.py", FontReaderTest.class.getResourceAsStream("/fonts/bent.py").readAllBytes());
    Path font = script.resolveSibling("bent.ttf");
    Tool.ok("/usr/bin/python3", script.toString(), font.toString());
    Brought.Read read = Brought.cut(Brought.file(font), Map.of("wght", (double) wght));
    Path cut = Tool.file("cut.ttf", read.files().get(0));
    List<double[]> ours = measured(cut);
    List<double[]> theirs = measured(font, "wght=" + wght);
    assertThat(ours).hasSameSizeAs(theirs);
    for (int i = 0; i < ours.size(); i++) {
      for (int k = 0; k < 6; k++) {
        if (k != 1) {
          assertThat(ours.get(i)[k]).as("%d of %d", k, i).isCloseTo(theirs.get(i)[k], within(1.0));
        }
      }
    }
    assertThat(figures(shaped(cut, "AB")))
        .isEqualTo(figures(shaped(font, "AB", "--variations=wght=" + wght)));
    assertThat(figures(shaped(cut, "AB")).get(0)).startsWith(wght > 550 ? "2=" : "1=");
  }

  /** Ids and advances. */
  private static List<String> figures(String shaped) {
    return List.of(shaped.strip().replaceAll("[\\[\\]]", "").split("\\|"));
  }

  @Test
  public void namedPlacesOfAVariableFontAreItsFaces() {
    Brought.Read read = Brought.read(Brought.file(Brought.VARIABLE));
    assertThat(read.facts().axes()).extracting(Axis::tag).containsExactly("wght", "slnt");
    assertThat(read.facts().faces())
        .hasSize(18)
        .extracting(FontFacts.Face::weight)
        .contains(100, 400, 900);
    assertThat(read.facts().faces())
        .filteredOn(f -> f.style().equals("Bold Italic"))
        .singleElement()
        .satisfies(f -> assertThat(f.italic()).isTrue())
        .satisfies(f -> assertThat(f.weight()).isEqualTo(700));
  }

  @Test
  public void aPlaceBeyondAnAxisIsRefusedWithItsEnds() {
    assertThatThrownBy(() -> Brought.cut(Brought.file(Brought.VARIABLE), Map.of("wght", 950.0)))
        .isInstanceOf(Refusal.class)
        .hasMessage("Weight goes from 100 to 900.");
  }

  @Test
  public void cubicCurvesAreFollowedToAThousandthOfAnEm() throws Exception {
    Brought.Read read = Brought.read(Brought.file(Brought.CUBIC));
    java.awt.Font was =
        java.awt.Font.createFont(java.awt.Font.TRUETYPE_FONT, Brought.CUBIC.toFile());
    java.awt.Font is =
        java.awt.Font.createFont(
            java.awt.Font.TRUETYPE_FONT, new ByteArrayInputStream(read.files().get(0)));
    double farthest = 0;
    for (char c :
        "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789&@§ß€".toCharArray()) {
      farthest = Math.max(farthest, apart(outline(is, c), outline(was, c)));
    }
    assertThat(farthest).isLessThan(0.001).isGreaterThan(0);
  }

  private static Shape outline(java.awt.Font font, char c) {
    java.awt.font.FontRenderContext exact = new java.awt.font.FontRenderContext(null, true, true);
    return font.deriveFont(1000f).createGlyphVector(exact, new char[] {c}).getOutline();
  }

  /** How far the points of one outline are from another at most, in ems. */
  private static double apart(Shape a, Shape b) {
    List<double[]> lines = lines(b);
    double farthest = 0;
    for (double[] l : lines(a)) {
      double nearest = Double.MAX_VALUE;
      for (double[] m : lines) {
        nearest =
            Math.min(nearest, java.awt.geom.Line2D.ptSegDist(m[0], m[1], m[2], m[3], l[0], l[1]));
      }
      farthest = Math.max(farthest, nearest);
    }
    return farthest / 1000;
  }

  private static List<double[]> lines(Shape shape) {
    List<double[]> lines = new ArrayList<>();
    double[] c = new double[6];
    double x = 0;
    double y = 0;
    for (PathIterator i = new FlatteningPathIterator(shape.getPathIterator(null), 0.02, 12);
        !i.isDone();
        i.next()) {
      int kind = i.currentSegment(c);
      if (kind == PathIterator.SEG_LINETO) {
        lines.add(new double[] {x, y, c[0], c[1]});
      }
      x = c[0];
      y = c[1];
    }
    return lines;
  }

  @Test
  public void aPlainFontIsWrittenWithTheSameGlyphsAdvancesAndForms() {
    Brought.Read read = Brought.read(SPECTRAL, "x.ttf");
    Typeface was = Typefaces.shipped().get("spectral");
    Typeface is =
        BroughtFaces.face(
            read.facts().faces().get(0), read.facts().embedding(), () -> read.files().get(0));
    String text = "The office of affluent fishermen: ÅVĄTö Ŧhrift";
    assertThat(is.shape(text, 0).glyphs()).isEqualTo(was.shape(text, 0).glyphs());
    assertThat(is.shape(text, 0).x()).isEqualTo(was.shape(text, 0).x());
    assertThat(is.features()).isEqualTo(was.features());
    for (int glyph : was.shape(text, 0).glyphs()) {
      assertThat(is.outline(glyph).getBounds2D()).isEqualTo(was.outline(glyph).getBounds2D());
    }
    assertThat(is.missing("Жש")).isEqualTo(was.missing("Жש"));
  }

  @DataProvider
  Object[][] permissions() {
    return new Object[][] {
      {0, Embedding.Permission.INSTALLABLE, false},
      {4, Embedding.Permission.PREVIEW_AND_PRINT, false},
      {8, Embedding.Permission.EDITABLE, false},
      {6, Embedding.Permission.PREVIEW_AND_PRINT, false}, // the least restrictive counts
      {0x104, Embedding.Permission.PREVIEW_AND_PRINT, true},
    };
  }

  @Test(dataProvider = "permissions")
  public void whatTheMakerAllowsIsRead(int bits, Embedding.Permission permission, boolean whole) {
    FontFacts facts = Brought.read(Brought.with(SPECTRAL, "OS/2", 8, bits)).facts();
    assertThat(facts.embedding()).isEqualTo(new Embedding(permission, whole, false));
  }

  @Test
  public void aFontThatFilesMayNotCarryIsRefused() {
    assertThatThrownBy(() -> Brought.read(Brought.with(SPECTRAL, "OS/2", 8, 2)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("forbids")
        .hasMessageContaining("fsType 2");
    assertThatThrownBy(() -> Brought.read(Brought.with(SPECTRAL, "OS/2", 8, 0x200)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no outlines");
  }

  @Test
  public void aFontWithoutNamesIsCalledAfterItsFile() {
    byte[] nameless = Brought.with(SPECTRAL, "name", 2, 0);
    FontFacts facts = Brought.read(nameless, "Marsh Hand.ttf").facts();
    assertThat(facts.family()).isEqualTo("Marsh Hand");
    assertThat(facts.notes())
        .containsExactly("It has no name in it, so it is called after its file.");
    assertThat(facts.faces().get(0).style()).isEqualTo("Regular");
  }

  @Test
  public void everyFontOfACollectionIsAFace() {
    byte[] bold = Typefaces.shipped().get("spectral-bold").file();
    FontFacts facts = Brought.read(collection(SPECTRAL, bold)).facts();
    assertThat(facts.faces()).extracting(FontFacts.Face::style).containsExactly("Regular", "Bold");
    assertThat(facts.faces()).extracting(FontFacts.Face::weight).containsExactly(400, 700);
  }

  /** Fonts behind one head, their tables' offsets moved. */
  private static byte[] collection(byte[]... fonts) {
    int head = 12 + 4 * fonts.length;
    ByteBuffer out =
        ByteBuffer.allocate(head + List.of(fonts).stream().mapToInt(f -> f.length).sum());
    out.put("ttcf".getBytes(StandardCharsets.ISO_8859_1)).putInt(0x10000).putInt(fonts.length);
    int at = head;
    for (byte[] font : fonts) {
      out.putInt(at);
      at += font.length;
    }
    for (byte[] font : fonts) {
      int from = out.position();
      out.put(font);
      for (int i = 0; i < out.getShort(from + 4); i++) {
        int offset = from + 12 + i * 16 + 8;
        out.putInt(offset, out.getInt(offset) + from);
      }
    }
    return out.array();
  }

  @Test
  public void aCollectionOfTooManyGlyphsIsRefusedWithTheirNumber() {
    byte[] many = Brought.with(SPECTRAL, "maxp", 4, 60_000);
    assertThatThrownBy(() -> Brought.read(collection(many, many, many)))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("3 fonts with 180,000 glyphs together; up to 150,000");
  }

  /** A name as long as a name's length can say is shown no longer than names are. */
  @Test
  public void longNamesAreCut() {
    FontFacts facts = Brought.read(Brought.file(Brought.VARIABLE)).facts();
    assertThat(facts.axes()).extracting(Axis::name).allMatch(n -> n.length() <= 80);
    assertThat(FontNames.brief("n".repeat(30_000))).hasSize(80);
  }

  /** What a maker wants whole is whole in a PDF, and its text is still found. */
  @Test
  public void aFontThatMayNotBeCutDownIsWholeInThePressFile() {
    for (int bits : new int[] {0, 0x104}) {
      Brought.Read read = Brought.read(Brought.with(SPECTRAL, "OS/2", 8, bits), "x.ttf");
      Typefaces faces = Typefaces.open();
      Typeface face =
          BroughtFaces.face(
              read.facts().faces().get(0), read.facts().embedding(), () -> read.files().get(0));
      faces.bring("Spectral", face);
      Design design =
          Specimen.on(Ground.plain(Colour.WHITE))
              .changed(
                  PrintedSide.OUTSIDE,
                  c ->
                      c.plus(
                          new Piece(
                              "w",
                              "w",
                              Anchors.filling(Region.safe(PanelKind.FRONT)),
                              Words.of(
                                  null, "Affluent", face.id(), Length.pt("20"), Colour.BLACK))));
      Artwork art =
          new Composer(faces).compose(design, Specimen.wrap(320), Specimen.BOOK, Pictures.NONE);
      Path pdf = Tool.file("whole.pdf", PressFile.make(art, Specimen.BOOK, Instant.EPOCH));
      boolean cut = bits == 0;
      assertThat(Tool.ok("pdffonts", pdf.toString()))
          .containsPattern(
              (cut ? "[A-Z]{6}\\+" : "\\n")
                  + "SpectralRegular +CID TrueType .*yes "
                  + (cut ? "yes" : "no ")
                  + " +yes");
      assertThat(Tool.ok("pdftotext", pdf.toString(), "-")).contains("Affluent");
      assertThat(art.laid()).hasSize(2);
    }
  }

  @Test
  public void aFontPackedForTheWebIsUnpacked() throws Exception {
    assertThat(Brought.read(woff(SPECTRAL)).files().get(0))
        .isEqualTo(Brought.read(SPECTRAL).files().get(0));
  }

  private static byte[] woff(byte[] font) throws Exception {
    ByteBuffer in = ByteBuffer.wrap(font);
    int count = in.getShort(4);
    ByteArrayOutputStream data = new ByteArrayOutputStream();
    ByteBuffer head = ByteBuffer.allocate(44 + count * 20);
    head.put("wOFF".getBytes(StandardCharsets.ISO_8859_1)).putInt(0x10000);
    head.putShort(12, (short) count).position(44);
    for (int i = 0; i < count; i++) {
      int at = 12 + i * 16;
      ByteArrayOutputStream packed = new ByteArrayOutputStream();
      try (DeflaterOutputStream d = new DeflaterOutputStream(packed)) {
        d.write(font, in.getInt(at + 8), in.getInt(at + 12));
      }
      boolean smaller = packed.size() < in.getInt(at + 12);
      head.putInt(in.getInt(at)).putInt(head.capacity() + data.size());
      head.putInt(smaller ? packed.size() : in.getInt(at + 12)).putInt(in.getInt(at + 12));
      head.putInt(in.getInt(at + 4));
      if (smaller) {
        packed.writeTo(data);
      } else {
        data.write(font, in.getInt(at + 8), in.getInt(at + 12));
      }
    }
    return ByteBuffer.allocate(head.capacity() + data.size())
        .put(head.array())
        .put(data.toByteArray())
        .array();
  }

  @Test
  public void aGlyphThatIsAPartOfItselfIsRefusedWithItsNumber() {
    FontTables tables = new FontTables(SPECTRAL.clone());
    ByteBuffer loca = tables.table("loca").orElseThrow();
    boolean isLong = tables.table("head").orElseThrow().getShort(50) != 0;
    byte[] copy = SPECTRAL.clone();
    ByteBuffer glyf = new FontTables(copy).table("glyf").orElseThrow();
    for (int glyph = 0; ; glyph++) {
      int at = isLong ? loca.getInt(glyph * 4) : (loca.getShort(glyph * 2) & 0xffff) * 2;
      if (glyf.getShort(at) < 0) {
        glyf.putShort(at + 12, (short) glyph);
        int own = glyph;
        assertThatThrownBy(() -> Brought.read(copy))
            .isInstanceOf(Refusal.class)
            .hasMessageContaining("glyph " + own + " is a part of itself");
        return;
      }
    }
  }

  @DataProvider
  Object[][] otherFiles() {
    return new Object[][] {
      {new byte[0], "no font that Reglet knows"},
      {"%PDF-1.7 something".getBytes(StandardCharsets.ISO_8859_1), "no font that Reglet knows"},
      {"wOF2 and more bytes".getBytes(StandardCharsets.ISO_8859_1), "WOFF 2"},
      {"ttcf\0\1\0\0\0\0\377\377xx".getBytes(StandardCharsets.ISO_8859_1), "65535 fonts"},
      {"OTTO\0\5\0\0\0\0\0\0".getBytes(StandardCharsets.ISO_8859_1), "ends within its list"},
    };
  }

  @Test(dataProvider = "otherFiles")
  public void whatIsNoFontIsRefusedWithASentence(byte[] file, String said) {
    assertThatThrownBy(() -> Brought.read(file))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(said);
  }

  /** Bytes are changed where chance, always the same, has it. */
  @Test
  public void damagedFontsAreRefusedOrReadAndNeverFailOtherwise() {
    byte[] small = Typefaces.shipped().get("codystar").file();
    byte[] cubic = Brought.file(Brought.CUBIC);
    Random chance = new Random(42);
    int refused = 0;
    for (int i = 0; i < 160; i++) {
      byte[] spoilt = (i % 4 == 0 ? cubic : small).clone();
      int head = 12 + 16 * 14;
      for (int n = 0; n < 1 + i % 12; n++) {
        int where = i % 3 == 0 ? chance.nextInt(head) : chance.nextInt(spoilt.length);
        spoilt[where] = (byte) chance.nextInt(256);
      }
      byte[] cut = i % 5 == 0 ? java.util.Arrays.copyOf(spoilt, spoilt.length * 2 / 3) : spoilt;
      try {
        Brought.read(cut);
      } catch (Refusal r) {
        refused++;
        assertThat(r.getMessage()).endsWith(".");
      }
    }
    assertThat(refused).isBetween(40, 159);
  }

  @Test
  public void everyTableThatIsLackingIsSaidOrDoneWithout() {
    for (String tag : List.of("head", "hhea", "maxp", "hmtx", "cmap", "loca", "glyf")) {
      byte[] without = renamed(SPECTRAL, tag);
      assertThatThrownBy(() -> Brought.read(without)).as(tag).isInstanceOf(Refusal.class);
    }
    for (String tag : List.of("OS/2", "post", "name", "GSUB", "GPOS", "GDEF")) {
      assertThat(Brought.read(renamed(SPECTRAL, tag)).files()).as(tag).hasSize(1);
    }
  }

  private static byte[] renamed(byte[] font, String tag) {
    byte[] copy = font.clone();
    for (int i = 0; ; i++) {
      int at = 12 + i * 16;
      if (new String(copy, at, 4, StandardCharsets.ISO_8859_1).equals(tag)) {
        copy[at] = '_';
        return copy;
      }
    }
  }
}
