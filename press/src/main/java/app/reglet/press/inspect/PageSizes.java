package app.reglet.press.inspect;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.PdfFacts.NamedBox;
import app.reglet.press.inspect.PdfFacts.Page;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Size, boxes and turn of a page (ISO 32000-1, 7.7.3.3 and 14.11.2). */
final class PageSizes {
  private static final COSName USER_UNIT = COSName.getPDFName("UserUnit");

  private PageSizes() {}

  /**
   * What a page says of its sizes.
   *
   * @param inherited its media box, which may be that of a node above it; null for none
   * @param rotate how it is turned, which may be from above too; null for not
   */
  static Page of(COSDictionary d, COSArray inherited, COSBase rotate) {
    PDRectangle media = inherited == null ? PDRectangle.LETTER : rectangle(inherited);
    if (media == null) {
      media = PDRectangle.LETTER; // what readers take for a page without a size
    }
    if (media.getWidth() <= 0 || media.getHeight() <= 0) {
      throw new Refusal(
          "file",
          "A page of this PDF says it is "
              + plain(media.getWidth())
              + " × "
              + plain(media.getHeight())
              + " points, which is no size: make the file anew and try again.");
    }
    int turned = rotate instanceof COSNumber n ? n.intValue() : 0;
    int rotation = turned % 90 == 0 ? Math.floorMod(turned, 360) : 0;
    boolean swap = rotation == 90 || rotation == 270;
    double unit =
        d.getDictionaryObject(USER_UNIT) instanceof COSNumber n && n.floatValue() > 0
            ? n.floatValue()
            : 1;
    List<NamedBox> boxes = new ArrayList<>();
    add(boxes, "MediaBox", media, media, swap, unit);
    // a page's own only, not one that it has from above: what is written is told
    add(boxes, "CropBox", own(d, COSName.CROP_BOX, media), media, swap, unit);
    add(boxes, "BleedBox", own(d, COSName.BLEED_BOX, media), media, swap, unit);
    add(boxes, "TrimBox", own(d, COSName.TRIM_BOX, media), media, swap, unit);
    add(boxes, "ArtBox", own(d, COSName.ART_BOX, media), media, swap, unit);
    return new Page(size(media, swap, unit), List.copyOf(boxes), rotation);
  }

  private static String plain(float points) {
    return BigDecimal.valueOf(points).stripTrailingZeros().toPlainString();
  }

  /** A box written on the page, cut to the media box as readers do; null when there is none. */
  private static PDRectangle own(COSDictionary d, COSName name, PDRectangle media) {
    PDRectangle box = rectangle(d.getCOSArray(name));
    if (box == null) {
      return null;
    }
    PDRectangle cut = new PDRectangle();
    cut.setLowerLeftX(Math.max(media.getLowerLeftX(), box.getLowerLeftX()));
    cut.setLowerLeftY(Math.max(media.getLowerLeftY(), box.getLowerLeftY()));
    cut.setUpperRightX(Math.min(media.getUpperRightX(), box.getUpperRightX()));
    cut.setUpperRightY(Math.min(media.getUpperRightY(), box.getUpperRightY()));
    return cut;
  }

  private static PDRectangle rectangle(COSArray array) {
    if (array == null || array.size() < 4) {
      return null;
    }
    for (int i = 0; i < 4; i++) {
      if (!(array.getObject(i) instanceof COSNumber n) || !Float.isFinite(n.floatValue())) {
        return null;
      }
    }
    return new PDRectangle(array);
  }

  private static void add(
      List<NamedBox> boxes,
      String name,
      PDRectangle r,
      PDRectangle media,
      boolean swap,
      double unit) {
    if (r == null) {
      return;
    }
    boxes.add(
        new NamedBox(
            name,
            size(r, swap, unit),
            points((r.getLowerLeftX() - media.getLowerLeftX()) * unit),
            points((r.getLowerLeftY() - media.getLowerLeftY()) * unit)));
  }

  /** A box's size as seen. */
  static Size size(PDRectangle r, boolean swap, double unit) {
    Length w = points(r.getWidth() * unit);
    Length h = points(r.getHeight() * unit);
    return swap ? new Size(h, w) : new Size(w, h);
  }

  /** Points, to a thousandth: a PDF's numbers are floats of some seven digits. */
  private static Length points(double points) {
    if (Math.abs(points) > 1_000_000) {
      throw new Refusal(
          "file",
          "A page of this PDF measures more than a million points, which no sheet does: make the file anew and try again.");
    }
    return Length.of(BigDecimal.valueOf(points).setScale(3, RoundingMode.HALF_EVEN), Unit.PT);
  }
}
