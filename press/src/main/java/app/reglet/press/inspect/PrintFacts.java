package app.reglet.press.inspect;

import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FontProgram;
import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * What of a PDF matters to the standards of press files, read from the objects of its first pages.
 */
final class PrintFacts {
  /** Objects within objects, more than any press file has. */
  private static final int DEEPEST = 40;

  /** Pages that are gone through. */
  private static final int MOST_PAGES = 20;

  private static final int MOST_UNPACKED = 40_000_000;

  private final Budget budget;

  final double version;
  final boolean encrypted;
  final COSDictionary trailer;
  final COSDictionary catalog;
  final COSDictionary info;
  final String xmp;
  final List<COSDictionary> pages = new ArrayList<>();
  final List<Intent> intents = new ArrayList<>();
  final Set<String> spaces = new TreeSet<>();
  final Set<String> filters = new TreeSet<>();
  final Set<String> loose = new TreeSet<>();
  final Set<String> shownThrough = new TreeSet<>();
  final Set<String> oddities = new TreeSet<>();
  final Map<String, Integer> fonts = new TreeMap<>();
  boolean defaultRgb;
  boolean packedObjects;

  private final Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());

  /**
   * An output intent for a press.
   *
   * @param identifier of the condition, null for none
   * @param inks channels that its profile is said to have
   * @param isPress whether the profile is of an output device in CMYK
   */
  record Intent(String identifier, int inks, boolean isPress) {}

  private PrintFacts(PDDocument document, Budget budget) throws IOException {
    this.budget = budget;
    version = Math.round(document.getVersion() * 10) / 10.0;
    encrypted = document.isEncrypted();
    trailer = document.getDocument().getTrailer();
    catalog = document.getDocumentCatalog().getCOSObject();
    info =
        trailer.getDictionaryObject(COSName.INFO) instanceof COSDictionary d
            ? d
            : new COSDictionary();
    xmp =
        catalog.getDictionaryObject(COSName.METADATA) instanceof COSStream s
            ? new String(bytes(s.createInputStream()), StandardCharsets.UTF_8)
            : "";
    intents();
    // an object within a stream of objects has that one's number, negative, for its place
    packedObjects = document.getDocument().getXrefTable().values().stream().anyMatch(at -> at < 0);
    for (int i = 0; i < Math.min(MOST_PAGES, document.getNumberOfPages()); i++) {
      PDPage page = document.getPage(i);
      COSDictionary p = page.getCOSObject();
      pages.add(p);
      if (p.containsKey(COSName.ANNOTS)) {
        oddities.add("annotations");
      }
      group(p);
      operators(bytes(page.getContents()));
      walk(p.getDictionaryObject(COSName.RESOURCES), 0);
    }
    for (String key : new String[] {"OpenAction", "AA", "OCProperties", "AcroForm", "Names"}) {
      if (catalog.containsKey(COSName.getPDFName(key))) {
        oddities.add(key);
      }
    }
  }

  private void intents() throws IOException {
    if (!(catalog.getDictionaryObject(COSName.OUTPUT_INTENTS) instanceof COSArray all)) {
      return;
    }
    for (int i = 0; i < all.size(); i++) {
      if (all.getObject(i) instanceof COSDictionary intent
          && "GTS_PDFX".equals(intent.getNameAsString(COSName.S))) {
        COSStream profile =
            intent.getDictionaryObject(COSName.DEST_OUTPUT_PROFILE) instanceof COSStream s
                ? s
                : null;
        intents.add(
            new Intent(
                intent.getString(COSName.OUTPUT_CONDITION_IDENTIFIER),
                profile == null ? 0 : profile.getInt(COSName.N),
                profile != null && isPress(bytes(profile.createInputStream()))));
      }
    }
  }

  private static boolean isPress(byte[] profile) {
    try {
      return ICC_Profile.getInstance(profile).getProfileClass() == ICC_Profile.CLASS_OUTPUT
          && new String(profile, 16, 4, StandardCharsets.US_ASCII).equals("CMYK");
    } catch (IllegalArgumentException e) {
      return false;
    }
  }

  static PrintFacts read(Path file) throws IOException {
    try (PDDocument document = Loader.loadPDF(file.toFile())) {
      return of(document, Budget.forFile(Files.size(file)));
    }
  }

  /**
   * Of a file that is open.
   *
   * @throws app.reglet.core.Refusal when that costs more than it may
   */
  static PrintFacts of(PDDocument document, Budget budget) throws IOException {
    return new PrintFacts(document, budget);
  }

  /** What a stream unpacks to, of one that unpacks to gigabytes the beginning. */
  private byte[] bytes(InputStream in) throws IOException {
    try (in) {
      budget.expectTime();
      return in.readNBytes(MOST_UNPACKED);
    }
  }

  private void walk(COSBase base, int depth) throws IOException {
    budget.expectTime();
    COSBase object = base instanceof COSObject o ? o.getObject() : base;
    if (object == null || depth > DEEPEST || !seen.add(object)) {
      return;
    }
    if (object instanceof COSArray array) {
      space(array);
      for (COSBase item : array) {
        walk(item, depth + 1);
      }
    } else if (object instanceof COSDictionary d) {
      look(d);
      for (Map.Entry<COSName, COSBase> e : d.entrySet()) {
        if (!e.getKey().equals(COSName.PARENT)) {
          if (isSpace(e.getKey())) {
            space(e.getValue());
          }
          walk(e.getValue(), depth + 1);
        }
      }
    }
  }

  private static boolean isSpace(COSName key) {
    return key.equals(COSName.COLORSPACE) || key.equals(COSName.CS);
  }

  /** Notes a colour space by its family. */
  private void space(COSBase value) {
    COSBase object = value instanceof COSObject o ? o.getObject() : value;
    if (object instanceof COSName name && name.getName().startsWith("Device")) {
      spaces.add(name.getName());
    } else if (object instanceof COSArray a
        && a.size() > 1
        && a.getObject(0) instanceof COSName family) {
      String name = family.getName();
      if (Set.of("ICCBased", "CalRGB", "CalGray", "Lab", "Separation", "DeviceN", "Indexed")
          .contains(name)) {
        spaces.add(name);
        if (Set.of("Separation", "DeviceN").contains(name) && a.size() > 2) {
          space(a.getObject(2));
        }
        if (name.equals("Indexed")) {
          space(a.getObject(1));
        }
      }
    }
  }

  private void look(COSDictionary d) throws IOException {
    COSName type = d.getCOSName(COSName.TYPE);
    COSName subtype = d.getCOSName(COSName.SUBTYPE);
    if (COSName.FONT.equals(type)) {
      font(d);
    }
    if (d instanceof COSStream s) {
      filters(s);
      if (COSName.FORM.equals(subtype)) {
        group(s);
        operators(bytes(s.createInputStream()));
      }
      if (COSName.getPDFName("PS").equals(subtype)) {
        oddities.add("PostScript");
      }
      if (COSName.IMAGE.equals(subtype) && s.containsKey(COSName.SMASK)) {
        shownThrough.add("a soft mask of a picture");
      }
    }
    if (d.containsKey(COSName.getPDFName("OPI"))
        || d.containsKey(COSName.getPDFName("Alternates"))
        || d.containsKey(COSName.getPDFName("Ref"))) {
      oddities.add("a stand-in for another picture");
    }
    if (d.containsKey(COSName.getPDFName("DefaultRGB"))) {
      defaultRgb = true;
    }
    state(d);
  }

  private void state(COSDictionary d) {
    COSBase mask = d.getDictionaryObject(COSName.SMASK);
    if (mask instanceof COSDictionary && !(d instanceof COSStream)) {
      shownThrough.add("a soft mask");
    }
    for (COSName key : new COSName[] {COSName.CA, COSName.CA_NS}) {
      if (d.getDictionaryObject(key) instanceof COSNumber n && n.floatValue() < 1) {
        shownThrough.add("an opacity of " + n.floatValue());
      }
    }
    if (d.getDictionaryObject(COSName.BM) instanceof COSName mode
        && !Set.of("Normal", "Compatible").contains(mode.getName())) {
      shownThrough.add("colours that " + mode.getName().toLowerCase(java.util.Locale.ROOT));
    }
    for (String key : new String[] {"TR", "TR2", "HTP"}) {
      if (d.containsKey(COSName.getPDFName(key))) {
        oddities.add("a transfer curve");
      }
    }
  }

  private void group(COSDictionary d) {
    if (d.getDictionaryObject(COSName.GROUP) instanceof COSDictionary g
        && COSName.TRANSPARENCY.equals(g.getCOSName(COSName.S))) {
      shownThrough.add("a transparency group");
      space(g.getDictionaryObject(COSName.CS));
    }
  }

  private void filters(COSStream s) {
    COSBase filter = s.getDictionaryObject(COSName.FILTER);
    if (filter instanceof COSName name) {
      filters.add(name.getName());
    } else if (filter instanceof COSArray array) {
      for (int i = 0; i < array.size(); i++) {
        filters.add(String.valueOf(array.getName(i)));
      }
    }
  }

  private void font(COSDictionary font) {
    String name = String.valueOf(font.getNameAsString(COSName.BASE_FONT));
    if (COSName.TYPE0.equals(font.getCOSName(COSName.SUBTYPE))) {
      return; // its descendant has the file
    }
    fonts.merge(name, 1, Integer::sum);
    if (!FontProgram.isInside(font)) {
      loose.add(name);
    }
  }

  private void operators(byte[] content) throws IOException {
    PDFStreamParser parser = new PDFStreamParser(content);
    for (Object token = parser.parseNextToken(); token != null; token = parser.parseNextToken()) {
      budget.expectTime();
      if (token instanceof Operator op) {
        switch (op.getName()) {
          case "rg", "RG" -> spaces.add("DeviceRGB");
          case "k", "K" -> spaces.add("DeviceCMYK");
          case "g", "G" -> spaces.add("DeviceGray");
          default -> {
            // paints in a space that its resources name
          }
        }
      }
    }
  }

  /** A box of a page as written on it: left, bottom, right, top; empty where there is none. */
  static List<Double> box(COSDictionary page, COSName name) {
    List<Double> box = new ArrayList<>();
    if (page.getDictionaryObject(name) instanceof COSArray a && a.size() == 4) {
      for (int i = 0; i < 4; i++) {
        COSBase n = a.getObject(i);
        box.add(
            n instanceof COSFloat || n instanceof COSInteger
                ? (double) ((COSNumber) n).floatValue()
                : Double.NaN);
      }
    }
    return box;
  }
}
