package app.reglet.press.pageinks;

import app.reglet.press.colour.PressInks;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FontProgram;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.multipdf.LayerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;

/**
 * A page of somebody's PDF as a form of a press file: its letters stay letters, its lines lines,
 * its pictures have the pixels they had, and every colour is in a press's four inks. Inks of its
 * own are printed with what stands for them; what overprints knocks out, as on a proof.
 *
 * <p>A page that has what can't be given so, as colours that multiply, a mesh of colours, a font
 * that is not in the file or layers that are hidden, has no such form: it is drawn as pixels, by
 * {@link PageInks}.
 */
public final class InkedPage {
  /**
   * What a press file takes.
   *
   * @param clear whether something may show through (in PDF/X-1a nothing may, ISO 15930-4)
   * @param fonts whether letters may be letters
   */
  public record Takes(boolean clear, boolean fonts) {}

  private static final COSName PROPERTIES = COSName.getPDFName("Properties");

  /** What says nothing of how a form is printed. */
  private static final List<String> BESIDE =
      List.of(
          "OPI",
          "Metadata",
          "StructParent",
          "StructParents",
          "PieceInfo",
          "LastModified",
          "OC",
          "Ref",
          "Measure");

  /**
   * Overprinting, and what would change inks once more in the press (ISO 32000-1, table 58): a
   * press file has none of it.
   */
  private static final List<String> NOT_ITS_OWN =
      List.of("OP", "op", "OPM", "TR", "TR2", "HT", "BG", "BG2", "UCR", "UCR2");

  private final Takes takes;
  private final ColourInks colours;
  private final InkedImages images;
  private final InkedShadings shadings;
  private final Budget budget;

  /** Whether what is looked through is changed, or only asked. */
  private final boolean changing;

  /** What was looked at, and whether as part of a mask. */
  private final Map<COSBase, Boolean> seen = new IdentityHashMap<>();

  private final Map<COSDictionary, SpacesOfStream> spaces = new IdentityHashMap<>();
  private final Deque<Shown> open = new ArrayDeque<>();

  /**
   * A stream of operators that is yet to be looked through.
   *
   * @param resources that it uses where it has none of its own
   * @param gray whether it says how much of something else is seen, and is given in gray
   */
  private record Shown(COSStream stream, COSDictionary resources, boolean gray) {}

  private InkedPage(
      Takes takes, PressInks inks, Repacked repacked, boolean changing, Budget budget) {
    this.takes = takes;
    this.colours = new ColourInks(inks);
    this.images = new InkedImages(colours, repacked, takes.clear());
    this.shadings = new InkedShadings(colours);
    this.changing = changing;
    this.budget = budget;
  }

  /**
   * A page as a form.
   *
   * @param into the press file; it has no more than it had where there is no such form
   * @param source the page's document, which is not changed
   * @param index of the page, from 0
   * @param inks of the press
   * @param repacked how pictures are packed that can't stay as they are
   * @return empty where the page can't be given so
   */
  public static Optional<PDFormXObject> form(
      PDDocument into,
      PDDocument source,
      int index,
      Takes takes,
      PressInks inks,
      Repacked repacked,
      Budget budget) {
    if (hindered(source, index, takes, inks, budget).isPresent()) {
      return Optional.empty();
    }
    COSDictionary catalog = into.getDocumentCatalog().getCOSObject();
    COSBase layers = catalog.getItem(COSName.OCPROPERTIES);
    try {
      PDFormXObject form = new LayerUtility(into).importPageAsForm(source, index);
      InkedPage page = new InkedPage(takes, inks, repacked, true, budget);
      COSStream stream = form.getCOSObject();
      page.properties(stream);
      byte[] changed = page.content(stream.createInputStream(), resources(stream), true);
      page.put(stream, changed);
      page.rest();
      return Optional.of(form);
    } catch (IOException | RuntimeException | StackOverflowError e) {
      return Optional.empty();
    } finally {
      catalog.setItem(COSName.OCPROPERTIES, layers); // all of its layers are seen: it has none
    }
  }

  /**
   * Why a page can't be given as a form, so far as is seen without unpacking its pictures.
   *
   * @param source the page's document, which is not changed
   * @return what it has that can't be given so, as "it has ..." goes on; empty where it can
   */
  public static Optional<String> hindered(
      PDDocument source, int index, Takes takes, PressInks inks, Budget budget) {
    try {
      PDPage page = source.getPage(index);
      expectVisible(source);
      InkedPage asked = new InkedPage(takes, inks, null, false, budget);
      COSDictionary resources =
          page.getResources() == null ? new COSDictionary() : page.getResources().getCOSObject();
      asked.group(page.getCOSObject());
      asked.content(page.getContents(), resources, true);
      asked.rest();
      return Optional.empty();
    } catch (NotInInks e) {
      return Optional.of(e.getMessage());
    } catch (IOException | RuntimeException | StackOverflowError e) {
      return Optional.of("something in it that can’t be read");
    }
  }

  /** Layers that are not printed: which they are is the reading program's to know. */
  private static void expectVisible(PDDocument source) {
    COSDictionary layers =
        source.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.OCPROPERTIES);
    COSDictionary now = layers == null ? null : layers.getCOSDictionary(COSName.D);
    if (now != null
        && (now.getDictionaryObject(COSName.OFF) instanceof COSArray off && off.size() > 0
            || COSName.OFF.equals(now.getCOSName(COSName.BASE_STATE))
            || now.getDictionaryObject(COSName.AS) != null)) {
      throw new NotInInks("layers that are hidden");
    }
  }

  private static COSDictionary resources(COSDictionary of) {
    COSDictionary own = of.getCOSDictionary(COSName.RESOURCES);
    return own == null ? new COSDictionary() : own;
  }

  /** Everything that the streams seen so far show. */
  private void rest() throws IOException {
    while (!open.isEmpty()) {
      Shown shown = open.pop();
      COSDictionary own = shown.stream().getCOSDictionary(COSName.RESOURCES);
      COSDictionary resources = own == null ? shown.resources() : own;
      if (shown.gray()) {
        COSDictionary group = shown.stream().getCOSDictionary(COSName.GROUP);
        if (group != null && group.getDictionaryObject(COSName.CS) != null) {
          GrayContent.group(group, changing);
        }
        SpacesOfStream here = resources(resources, true);
        try (InputStream in = shown.stream().createInputStream()) {
          put(shown.stream(), GrayContent.of(in.readAllBytes(), here, budget));
        }
        continue;
      }
      properties(shown.stream());
      put(shown.stream(), content(shown.stream().createInputStream(), resources, false));
    }
    if (changing) {
      spaces.values().forEach(SpacesOfStream::leaveUsed);
    }
  }

  private void put(COSStream stream, byte[] content) throws IOException {
    if (changing) {
      try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
        out.write(content);
      }
    }
  }

  private byte[] content(InputStream in, COSDictionary resources, boolean page) throws IOException {
    SpacesOfStream here = resources(resources, false);
    try (in) {
      return InkedContent.of(in.readAllBytes(), colours, here, page, budget);
    }
  }

  /** Takes from a form what is not printed, and gives its group the press's inks. */
  private void properties(COSStream form) {
    group(form);
    if (changing) {
      BESIDE.forEach(k -> form.removeItem(COSName.getPDFName(k)));
    }
  }

  private void group(COSDictionary of) {
    COSDictionary group = of.getCOSDictionary(COSName.GROUP);
    if (!changing || group == null) {
      return;
    }
    if (takes.clear()) {
      if (group.getDictionaryObject(COSName.CS) != null) {
        group.setItem(COSName.CS, COSName.DEVICECMYK);
      }
    } else {
      of.removeItem(COSName.GROUP); // nothing shows through it, so it changes nothing
    }
  }

  /**
   * @param gray whether they are of what says how much is seen
   */
  private SpacesOfStream resources(COSDictionary resources, boolean gray) throws IOException {
    SpacesOfStream known = spaces.get(resources);
    if (known != null) {
      if (known.gray() != gray) {
        throw new NotInInks("resources that a mask shares with what it masks");
      }
      return known;
    }
    SpacesOfStream made =
        new SpacesOfStream(
            resources, images, changing, gray, (kind, what) -> use(kind, what, resources, gray));
    spaces.put(resources, made);
    if (changing && !gray) {
      resources.removeItem(PROPERTIES);
    }
    return made;
  }

  /** Something that a stream shows or sets, the first time. */
  private void use(COSName kind, COSDictionary what, COSDictionary resources, boolean gray)
      throws IOException {
    budget.object();
    if (isForBoth(kind, what) ? seen.put(what, gray) != null : !isNew(what, gray)) {
      return;
    }
    if (COSName.XOBJECT.equals(kind)) {
      object(what, resources, gray);
    } else if (COSName.PATTERN.equals(kind)) {
      pattern(what, resources, gray);
    } else if (COSName.SHADING.equals(kind)) {
      shading(what, gray);
    } else if (COSName.FONT.equals(kind)) {
      font(what, resources, gray);
    } else {
      state(what, resources, gray);
    }
  }

  /** Whether something may be used in a mask and outside: it is the same in both. */
  private static boolean isForBoth(COSName kind, COSDictionary what) {
    return COSName.EXT_G_STATE.equals(kind)
        || COSName.FONT.equals(kind) && !COSName.TYPE3.equals(what.getCOSName(COSName.SUBTYPE));
  }

  /**
   * Whether something was not looked at yet, which is changed in one way in a mask and in another
   * outside.
   */
  private boolean isNew(COSBase what, boolean gray) {
    Boolean before = seen.putIfAbsent(what, gray);
    if (before != null && before != gray) {
      throw new NotInInks("something that a mask shares with what it masks");
    }
    return before == null;
  }

  private void object(COSDictionary x, COSDictionary resources, boolean gray) throws IOException {
    COSName kind = x.getCOSName(COSName.SUBTYPE);
    if (COSName.FORM.equals(kind) && x instanceof COSStream form) {
      open.push(new Shown(form, resources, gray));
    } else if (COSName.IMAGE.equals(kind) && x instanceof COSStream image) {
      budget.expectTime();
      images.expect(image);
      if (gray) {
        if (!InkedImages.isStencil(image)) {
          GrayContent.expectGray(image.getDictionaryObject(COSName.COLORSPACE));
        }
      } else if (changing) {
        images.change(image);
      }
    } else {
      throw new NotInInks("an object of another kind");
    }
  }

  private void pattern(COSDictionary p, COSDictionary resources, boolean gray) throws IOException {
    if (p.getCOSDictionary(COSName.EXT_G_STATE) != null) {
      state(p.getCOSDictionary(COSName.EXT_G_STATE), resources, gray);
    }
    if (p instanceof COSStream tile) {
      open.push(new Shown(tile, resources, gray));
    } else if (p.getDictionaryObject(COSName.SHADING) instanceof COSDictionary d) {
      if (isNew(d, gray)) {
        shading(d, gray);
      }
    } else {
      throw new NotInInks("a pattern of another kind");
    }
  }

  private void shading(COSDictionary d, boolean gray) throws IOException {
    if (gray) {
      GrayContent.expectGray(d.getDictionaryObject(COSName.COLORSPACE));
      return;
    }
    InkedShadings.expect(d);
    if (changing) {
      budget.expectTime();
      shadings.change(d);
    }
  }

  private void font(COSDictionary font, COSDictionary resources, boolean gray) {
    if (!takes.fonts()) {
      throw new NotInInks("letters, and the house takes outlines alone");
    }
    if (COSName.TYPE3.equals(font.getCOSName(COSName.SUBTYPE))) {
      COSDictionary own = font.getCOSDictionary(COSName.RESOURCES);
      COSDictionary letters = font.getCOSDictionary(COSName.CHAR_PROCS);
      if (letters != null) {
        for (COSName name : List.copyOf(letters.keySet())) {
          if (letters.getDictionaryObject(name) instanceof COSStream letter
              && isNew(letter, gray)) {
            open.push(new Shown(letter, own == null ? resources : own, gray));
          }
        }
      }
      return;
    }
    if (!FontProgram.isInside(font) || !takes.clear() && FontProgram.isOpenType(font)) {
      throw new NotInInks("a font that is not in the file");
    }
  }

  private void state(COSDictionary state, COSDictionary resources, boolean gray) {
    if (!isPlain(state.getDictionaryObject(COSName.BM))) {
      throw new NotInInks("colours that are mixed with what lies below");
    }
    COSBase mask = state.getDictionaryObject(COSName.SMASK);
    boolean masked = mask instanceof COSDictionary;
    boolean fades = isLess(state, COSName.CA) || isLess(state, COSName.CA_NS);
    if (!takes.clear() && (masked || fades)) {
      throw new NotInInks("something that shows through, which PDF/X-1a doesn’t take");
    }
    if (masked) {
      COSDictionary m = (COSDictionary) mask;
      COSBase by = m.getDictionaryObject(COSName.TR);
      if (!(m.getDictionaryObject(COSName.G) instanceof COSStream form)
          || by != null && !COSName.IDENTITY.equals(by)) {
        throw new NotInInks("a mask of another kind");
      }
      boolean alpha = COSName.getPDFName("Alpha").equals(m.getCOSName(COSName.S));
      if (isNew(form, gray || !alpha)) {
        COSDictionary group = form.getCOSDictionary(COSName.GROUP);
        if (!alpha && (group == null || group.getDictionaryObject(COSName.CS) == null)) {
          throw new NotInInks("a mask that does not say what its lightness is read in");
        }
        open.push(new Shown(form, resources, gray || !alpha));
      }
    }
    if (state.getDictionaryObject(COSName.FONT) instanceof COSArray set
        && set.size() > 0
        && set.getObject(0) instanceof COSDictionary font
        && isNew(font, gray)) {
      font(font, resources, gray);
    }
    if (changing) {
      NOT_ITS_OWN.forEach(k -> state.removeItem(COSName.getPDFName(k)));
    }
  }

  private static boolean isLess(COSDictionary state, COSName key) {
    return state.getDictionaryObject(key) instanceof COSNumber n && n.floatValue() < 1;
  }

  /** Whether what is painted hides what lies below (11.3.5). */
  private static boolean isPlain(COSBase mode) {
    COSBase first = mode instanceof COSArray a && a.size() > 0 ? a.getObject(0) : mode;
    return first == null
        || COSName.getPDFName("Normal").equals(first)
        || COSName.getPDFName("Compatible").equals(first);
  }
}
