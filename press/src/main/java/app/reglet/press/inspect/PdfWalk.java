package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.press.inspect.PdfFacts.FontFact;
import app.reglet.press.inspect.PdfFacts.Page;
import app.reglet.press.inspect.page.PageContent;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FontProgram;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * Walks a PDF's pages and resources (ISO 32000-1, 7.7.3 and 7.8.3), each object once, without
 * recursion, and no further than its budget.
 */
final class PdfWalk {
  /** Pages whose fonts are looked at. */
  private static final int MOST_PAGES_SEARCHED = 2000;

  /** Pages whose sizes are looked at; more are only counted. */
  private static final int MOST_PAGES_READ = 20_000;

  private static final int MOST_PAGES = 200_000;
  private static final int DEEPEST_TREE = 64;
  private static final int DEEPEST_FORM = 32;
  private static final int LONGEST_NAME = 200;

  private final PDDocument document;
  private final Budget budget;
  private final Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());
  private final Map<String, FontFact> fonts = new TreeMap<>();

  PdfWalk(PDDocument document, Budget budget) {
    this.document = document;
    this.budget = budget;
  }

  /** A node of the page tree with what it has from those above. */
  private record Node(COSDictionary dictionary, Inherited above, int depth) {}

  /** What a page may leave to the nodes above it (table 30). */
  private record Inherited(COSArray media, COSArray crop, COSBase rotate, COSDictionary resources) {
    Inherited with(COSDictionary d) {
      COSArray ownMedia = d.getCOSArray(COSName.MEDIA_BOX);
      COSArray ownCrop = d.getCOSArray(COSName.CROP_BOX);
      COSBase ownRotate = d.getDictionaryObject(COSName.ROTATE);
      COSDictionary own = d.getCOSDictionary(COSName.RESOURCES);
      return new Inherited(
          ownMedia == null ? media : ownMedia,
          ownCrop == null ? crop : ownCrop,
          ownRotate == null ? rotate : ownRotate,
          own == null ? resources : own);
    }
  }

  private static void expectPages(int pages) {
    if (pages > MOST_PAGES) {
      throw new Refusal(
          "file", "This PDF has more than " + MOST_PAGES + " pages; no book has as many.");
    }
  }

  PdfFacts facts(int bytes) {
    COSDictionary root =
        document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.PAGES);
    Deque<Node> open = new ArrayDeque<>();
    if (root != null) {
      expectPages(root.getInt(COSName.COUNT, 0)); // before they are gone through, if it says so
      open.push(new Node(root, new Inherited(null, null, null, null), 0));
    }
    Page first = null;
    List<PdfFacts.OtherSize> others = new ArrayList<>();
    int pages = 0;
    while (!open.isEmpty()) {
      budget.object();
      Node node = open.pop();
      if (!seen.add(node.dictionary())) {
        continue; // a node that is its own descendant
      }
      Inherited here = node.above().with(node.dictionary());
      COSArray kids = node.dictionary().getCOSArray(COSName.KIDS);
      if (kids != null && !isPage(node.dictionary())) {
        push(kids, here, node.depth() + 1, open);
        continue;
      }
      expectPages(++pages);
      if (pages == 1) {
        first = PageSizes.of(node.dictionary(), here.media(), here.rotate());
      } else if (pages <= MOST_PAGES_READ) {
        Size size = PageSizes.of(node.dictionary(), here.media(), here.rotate()).media();
        if (!near(size, first.media())) {
          others.add(new PdfFacts.OtherSize(pages, size));
        }
      }
      if (pages <= MOST_PAGES_SEARCHED) {
        resources(here.resources());
      }
    }
    if (first == null) {
      throw new Refusal("file", "This PDF has no page.");
    }
    COSDictionary form =
        document.getDocumentCatalog().getCOSObject().getCOSDictionary(COSName.ACRO_FORM);
    if (form != null) {
      resources(form.getCOSDictionary(COSName.DR)); // what its fields are filled in with
    }
    String title = document.getDocumentInformation().getTitle();
    return new PdfFacts(
        String.valueOf(document.getVersion()),
        pages,
        first,
        List.copyOf(others),
        List.copyOf(fonts.values()),
        title == null ? "" : title,
        bytes);
  }

  /** What one page says; the tree was walked before, and is sound. */
  PdfPage page(int number, int pages) {
    PDPage page = document.getPage(number - 1);
    COSDictionary d = page.getCOSObject();
    COSArray media = page.getMediaBox().getCOSArray();
    Page sizes = PageSizes.of(d, media, COSInteger.get(page.getRotation()));
    resources(page.getResources() == null ? null : page.getResources().getCOSObject());
    boolean swap = page.getRotation() % 180 != 0;
    Size size = PageSizes.size(page.getCropBox(), swap, page.getUserUnit());
    COSArray notes = d.getCOSArray(COSName.ANNOTS);
    return new PdfPage(
        number,
        pages,
        size,
        sizes.has("TrimBox") ? sizes.size("TrimBox") : size,
        List.copyOf(fonts.values()),
        notes == null ? 0 : notes.size(),
        PageContent.none(number),
        List.of(),
        false);
  }

  private static boolean isPage(COSDictionary d) {
    return COSName.PAGE.equals(d.getCOSName(COSName.TYPE));
  }

  private void push(COSArray kids, Inherited here, int depth, Deque<Node> open) {
    if (depth > DEEPEST_TREE) {
      throw new Refusal(
          "file",
          "The page tree of this PDF is more than "
              + DEEPEST_TREE
              + " levels deep; a sound one has a few. Make the file anew and try again.");
    }
    List<Node> in = new ArrayList<>();
    for (int i = 0; i < kids.size(); i++) {
      budget.object();
      if (kids.getObject(i) instanceof COSDictionary kid) {
        in.add(new Node(kid, here, depth));
      }
    }
    Collections.reverse(in);
    in.forEach(open::push);
  }

  private static boolean near(Size a, Size b) {
    Length hair = Length.pt("0.01");
    return !a.width().minus(b.width()).abs().isMoreThan(hair)
        && !a.height().minus(b.height()).abs().isMoreThan(hair);
  }

  /** Resources with how deep in forms they lie. */
  private record Resources(COSDictionary dictionary, int depth) {}

  /** The fonts of resources and of the forms in them, each looked at once. */
  private void resources(COSDictionary start) {
    Deque<Resources> open = new ArrayDeque<>();
    if (start != null) {
      open.push(new Resources(start, 0));
    }
    while (!open.isEmpty()) {
      Resources each = open.pop();
      if (!seen.add(each.dictionary()) || each.depth() > DEEPEST_FORM) {
        continue;
      }
      COSDictionary named = each.dictionary().getCOSDictionary(COSName.FONT);
      if (named != null && seen.add(named)) {
        for (COSName name : named.keySet()) {
          budget.object();
          if (named.getDictionaryObject(name) instanceof COSDictionary font && seen.add(font)) {
            font(font);
          }
        }
      }
      COSDictionary objects = each.dictionary().getCOSDictionary(COSName.XOBJECT);
      if (objects == null || !seen.add(objects)) {
        continue;
      }
      for (COSName name : objects.keySet()) {
        budget.object();
        if (objects.getDictionaryObject(name) instanceof COSDictionary object
            && COSName.FORM.equals(object.getCOSName(COSName.SUBTYPE))
            && seen.add(object)) {
          COSDictionary inner = object.getCOSDictionary(COSName.RESOURCES);
          if (inner != null) {
            open.push(new Resources(inner, each.depth() + 1));
          }
        }
      }
    }
  }

  /** What a font's dictionary says (ISO 32000-1, 9.6 to 9.9): its program is not read. */
  private void font(COSDictionary font) {
    String type = text(font.getNameAsString(COSName.SUBTYPE), "unknown");
    String name =
        text(
            font.getNameAsString(COSName.BASE_FONT),
            text(font.getNameAsString(COSName.NAME), "(unnamed)"));
    boolean embedded = FontProgram.isInside(font);
    boolean subset = name.matches("[A-Z]{6}\\+.*");
    fonts.putIfAbsent(
        name + embedded, new FontFact(subset ? name.substring(7) : name, type, embedded, subset));
  }

  private static String text(String found, String otherwise) {
    if (found == null || found.isEmpty()) {
      return otherwise;
    }
    return found.length() > LONGEST_NAME ? found.substring(0, LONGEST_NAME) : found;
  }
}
