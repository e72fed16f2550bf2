package app.reglet.press.pageinks;

import app.reglet.press.colour.PixelInks;
import app.reglet.press.reading.Budget;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;

/**
 * Puts {@link InkSpace}s in the place of every colour space that a page's resources lead to, by
 * what PDF has for it: spaces that stand for the device's own (ISO 32000-1, 8.6.5.6), and a cache
 * of what indirect objects are. The document is good for drawing one of the two pictures then.
 */
final class InkResources {
  /** Takes the coloured inks of four and gives what they leave of red, green and blue. */
  private static final String COLOURED =
      "{pop 1 exch sub 3 1 roll 1 exch sub 3 1 roll 1 exch sub 3 1 roll}";

  /** Takes black of four and gives what it leaves. */
  private static final String BLACK = "{4 1 roll pop pop pop 1 exch sub dup dup}";

  /** Components that a table is made of. */
  private static final int MOST_SAMPLED = 3;

  /** Steps of such a table along each of three components. */
  private static final int GRID = 33;

  private static final COSName DEFAULT_GRAY = COSName.getPDFName("DefaultGray");
  private static final COSName DEFAULT_RGB = COSName.getPDFName("DefaultRGB");
  private static final COSName DEFAULT_CMYK = COSName.getPDFName("DefaultCMYK");

  private final KeptSpaces cache = new KeptSpaces();
  private final Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());
  private final Map<COSBase, COSBase> known = new IdentityHashMap<>();
  private final PixelInks screen;
  private final boolean black;
  private final Budget budget;
  private final COSArray four;
  private final COSObject gray;
  private final COSObject rgb;
  private final COSObject cmyk;

  private InkResources(PixelInks screen, boolean black, Budget budget) throws IOException {
    this.screen = screen;
    this.black = black;
    this.budget = budget;
    four = four(black);
    gray = standing(PDDeviceGray.INSTANCE, 8);
    rgb = standing(PDDeviceRGB.INSTANCE, 8);
    cmyk = standing(PDDeviceCMYK.INSTANCE, 8);
  }

  /**
   * Changes what a page is drawn with.
   *
   * @param page of the document, its own or inherited resources
   * @return the space that the page begins in
   */
  static PDColorSpace change(
      PDDocument document, COSDictionary page, PixelInks screen, boolean black, Budget budget)
      throws IOException {
    InkResources in = new InkResources(screen, black, budget);
    document.setResourceCache(in.cache);
    in.walk(page);
    return in.cache.getColorSpace(in.gray);
  }

  /** An object that stands for a space, as the cache knows. */
  private COSObject standing(PDColorSpace space, int bits) throws IOException {
    COSObject object = new COSObject(space.getCOSObject());
    cache.put(object, new InkSpace(space, screen, black, bits, object));
    return object;
  }

  private static COSArray four(boolean black) throws IOException {
    COSStream tint = new COSStream();
    tint.setInt(COSName.FUNCTION_TYPE, 4);
    tint.setItem(COSName.DOMAIN, SampledFunction.repeated(4, COSInteger.ZERO, COSInteger.ONE));
    tint.setItem(COSName.RANGE, SampledFunction.repeated(3, COSInteger.ZERO, COSInteger.ONE));
    try (var out = tint.createOutputStream()) {
      out.write((black ? BLACK : COLOURED).getBytes(java.nio.charset.StandardCharsets.US_ASCII));
    }
    return inks(tint, List.of("C", "M", "Y", "K"));
  }

  private void walk(COSDictionary page) throws IOException {
    Deque<COSDictionary> open = new ArrayDeque<>();
    COSDictionary own =
        page.getDictionaryObject(COSName.RESOURCES) instanceof COSDictionary d
            ? d
            : new COSDictionary();
    page.setItem(COSName.RESOURCES, own);
    open.push(own);
    while (!open.isEmpty()) {
      COSDictionary resources = open.pop();
      budget.object();
      if (!seen.add(resources)) {
        continue;
      }
      spaces(resources);
      each(resources, COSName.XOBJECT, x -> object(x, open));
      each(resources, COSName.PATTERN, p -> pattern(p, open));
      each(resources, COSName.SHADING, this::shading);
      each(resources, COSName.FONT, f -> inner(f, open));
    }
  }

  private interface Looked {
    void at(COSDictionary d) throws IOException;
  }

  private void each(COSDictionary resources, COSName kind, Looked what) throws IOException {
    COSDictionary all = resources.getCOSDictionary(kind);
    if (all == null) {
      return;
    }
    for (COSName name : List.copyOf(all.keySet())) {
      budget.object();
      if (all.getDictionaryObject(name) instanceof COSDictionary d && seen.add(d)) {
        what.at(d);
      }
    }
  }

  private static void inner(COSDictionary d, Deque<COSDictionary> open) {
    COSDictionary inner = d.getCOSDictionary(COSName.RESOURCES);
    if (inner != null) {
      open.push(inner);
    }
  }

  private void object(COSDictionary x, Deque<COSDictionary> open) throws IOException {
    if (COSName.FORM.equals(x.getCOSName(COSName.SUBTYPE))) {
      inner(x, open);
    } else if (!x.getBoolean(COSName.IMAGE_MASK, false)) {
      COSBase space = x.getDictionaryObject(COSName.COLORSPACE);
      if (space != null) {
        x.setItem(COSName.COLORSPACE, stand(space, x.getInt(COSName.BITS_PER_COMPONENT, 8)));
      }
    }
  }

  private void pattern(COSDictionary p, Deque<COSDictionary> open) throws IOException {
    inner(p, open);
    if (p.getDictionaryObject(COSName.SHADING) instanceof COSDictionary d && seen.add(d)) {
      shading(d);
    }
  }

  /** A shading reads its space from the file itself, so it gets one that PDF knows. */
  private void shading(COSDictionary d) throws IOException {
    COSBase space = d.getDictionaryObject(COSName.COLORSPACE);
    if (!known.containsKey(space)) {
      known.put(space, known(space, 0));
    }
    d.setItem(COSName.COLORSPACE, known.get(space));
  }

  private COSBase known(COSBase space, int depth) throws IOException {
    if (COSName.DEVICECMYK.equals(space)) {
      return four;
    }
    if (space instanceof COSArray a
        && a.size() > 1
        && COSName.ICCBASED.equals(a.getObject(0))
        && a.getObject(1) instanceof COSStream s
        && s.getInt(COSName.N, 0) == 4) {
      return four;
    }
    PDColorSpace read;
    try {
      read = PDColorSpace.create(space);
    } catch (IOException | RuntimeException e) {
      return space; // a broken one is drawn as the renderer does
    }
    if (read instanceof PDIndexed || read instanceof PDPattern) {
      return space;
    }
    if (read.getNumberOfComponents() <= MOST_SAMPLED) {
      return sampled(read);
    }
    if (depth > 2 || !(read instanceof PDDeviceN) || ((COSArray) space).size() < 4) {
      return space;
    }
    COSArray copy = new COSArray(((COSArray) space).toList());
    copy.set(2, known(copy.getObject(2), depth + 1));
    return copy;
  }

  /**
   * A space of up to three components as a table of what its inks leave (ISO 32000-1, 7.10.2 and
   * 8.6.6.5).
   */
  private COSArray sampled(PDColorSpace space) throws IOException {
    int parts = space.getNumberOfComponents();
    int steps = parts == 1 ? 256 : GRID;
    float[] range = space.getDefaultDecode(8);
    SpaceInks inks = SpaceInks.of(space, screen);
    COSStream table =
        SampledFunction.of(
            range,
            steps,
            3,
            colour -> {
              int left = InkSpace.left(inks.of(colour), black);
              return new float[] {
                (left >> 16) / 255f, (left >> 8 & 0xff) / 255f, (left & 0xff) / 255f
              };
            });
    budget.expectTime();
    return inks(table, List.of("A", "B", "C").subList(0, parts));
  }

  /** Inks of these names that are drawn as a function says. */
  private static COSArray inks(COSStream function, List<String> names) {
    COSArray named = new COSArray();
    names.forEach(n -> named.add(COSName.getPDFName(n)));
    COSArray array = new COSArray();
    array.add(COSName.DEVICEN);
    array.add(named);
    array.add(COSName.DEVICERGB);
    array.add(function);
    return array;
  }

  private void spaces(COSDictionary resources) throws IOException {
    COSDictionary all =
        resources.getDictionaryObject(COSName.COLORSPACE) instanceof COSDictionary d
            ? d
            : new COSDictionary();
    COSDictionary changed = new COSDictionary();
    for (COSName name : all.keySet()) {
      budget.object();
      COSBase space = all.getDictionaryObject(name);
      if (space != null) {
        changed.setItem(name, stand(space, resources));
      }
    }
    changed.setItem(DEFAULT_GRAY, gray);
    changed.setItem(DEFAULT_RGB, rgb);
    changed.setItem(DEFAULT_CMYK, cmyk);
    resources.setItem(COSName.COLORSPACE, changed);
  }

  private COSBase stand(COSBase space, int bits) throws IOException {
    if (space instanceof COSString || COSName.PATTERN.equals(space)) {
      return space;
    }
    try {
      return standing(PDColorSpace.create(space), bits);
    } catch (IOException | RuntimeException e) {
      return space; // a broken one is drawn as the renderer does
    }
  }

  /** A space that a stream names: the colour of tiles that have none is in the space below. */
  private COSBase stand(COSBase space, COSDictionary resources) throws IOException {
    if (!(space instanceof COSArray a)
        || a.size() == 0
        || !COSName.PATTERN.equals(a.getObject(0))) {
      return stand(space, 8);
    }
    if (a.size() == 1) {
      return space;
    }
    PDColorSpace below;
    try {
      below = PDColorSpace.create(a.getObject(1));
    } catch (IOException | RuntimeException e) {
      return space; // a broken one is drawn as the renderer does
    }
    COSObject object = new COSObject(a);
    cache.put(
        object,
        new PDPattern(
            new PDResources(resources, cache), new InkSpace(below, screen, black, 8, null)));
    return object;
  }
}
