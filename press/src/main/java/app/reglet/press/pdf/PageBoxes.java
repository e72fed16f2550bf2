package app.reglet.press.pdf;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.BlockPage;
import app.reglet.core.wrap.Wrap;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * The boxes of a page (ISO 32000-1, 14.11.2): MediaBox, CropBox and BleedBox the sheet, TrimBox the
 * trimmed cover. PDF's origin is bottom left; figures are points to five decimals.
 */
final class PageBoxes {
  private PageBoxes() {}

  /** An empty page of a wrap's size, and so much more on every side. */
  static PDPage page(Wrap wrap, Length around) {
    Size media =
        new Size(
            wrap.sheet().width().plus(around).plus(around),
            wrap.sheet().height().plus(around).plus(around));
    Box all = new Box(Length.ZERO, Length.ZERO, media.width(), media.height());
    PDPage page =
        new PDPage(
            new PDRectangle((float) media.width().toPoints(), (float) media.height().toPoints()));
    set(page, COSName.MEDIA_BOX, all, media);
    set(page, COSName.CROP_BOX, all, media);
    set(page, COSName.BLEED_BOX, moved(wrap.sheetBox(), around), media);
    set(page, COSName.TRIM_BOX, moved(wrap.trimmed(), around), media);
    return page;
  }

  /** An empty page of the book block, with its bleed. */
  static PDPage page(BlockPage block) {
    Size sheet = block.sheet();
    Box all = new Box(Length.ZERO, Length.ZERO, sheet.width(), sheet.height());
    PDPage page =
        new PDPage(
            new PDRectangle((float) sheet.width().toPoints(), (float) sheet.height().toPoints()));
    set(page, COSName.MEDIA_BOX, all, sheet);
    set(page, COSName.CROP_BOX, all, sheet);
    set(page, COSName.BLEED_BOX, all, sheet);
    set(page, COSName.TRIM_BOX, block.trim(), sheet);
    return page;
  }

  private static Box moved(Box box, Length by) {
    return new Box(box.left().plus(by), box.top().plus(by), box.width(), box.height());
  }

  /** An empty page whose every box is the whole of it. */
  static PDPage trimmed(Size size) {
    PDPage page =
        new PDPage(
            new PDRectangle((float) size.width().toPoints(), (float) size.height().toPoints()));
    Box whole = new Box(Length.ZERO, Length.ZERO, size.width(), size.height());
    for (COSName name :
        new COSName[] {COSName.MEDIA_BOX, COSName.CROP_BOX, COSName.BLEED_BOX, COSName.TRIM_BOX}) {
      set(page, name, whole, size);
    }
    return page;
  }

  private static void set(PDPage page, COSName name, Box box, Size sheet) {
    COSArray array = new COSArray();
    array.add(number(box.left().toPoints()));
    array.add(number(sheet.height().minus(box.bottom()).toPoints()));
    array.add(number(box.right().toPoints()));
    array.add(number(sheet.height().minus(box.top()).toPoints()));
    page.getCOSObject().setItem(name, array);
  }

  private static COSFloat number(double points) {
    try {
      return new COSFloat(String.format(Locale.ROOT, "%.5f", points));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
