package app.reglet.press.reading;

import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;

/** Where a font's program stands in a PDF (ISO 32000-1, 9.6 to 9.9): the program is not read. */
public final class FontProgram {
  private static final COSName FONT_FILE_3 = COSName.getPDFName("FontFile3");

  private FontProgram() {}

  /**
   * Whether a font brings its letters with it.
   *
   * @param font its dictionary; of a composite one the descendant's program counts, and a font of
   *     type 3 is its own
   */
  public static boolean isInside(COSDictionary font) {
    if (COSName.TYPE3.equals(font.getCOSName(COSName.SUBTYPE))) {
      return true;
    }
    COSDictionary about = descriptor(font);
    return about != null
        && (about.getDictionaryObject(COSName.FONT_FILE) != null
            || about.getDictionaryObject(COSName.FONT_FILE2) != null
            || about.getDictionaryObject(FONT_FILE_3) != null);
  }

  /** Whether its program is an OpenType font as a whole, which PDF has from 1.6 on (table 126). */
  public static boolean isOpenType(COSDictionary font) {
    COSDictionary about = descriptor(font);
    return about != null
        && about.getDictionaryObject(FONT_FILE_3) instanceof COSDictionary program
        && "OpenType".equals(program.getNameAsString(COSName.SUBTYPE));
  }

  private static COSDictionary descriptor(COSDictionary font) {
    COSDictionary described = font;
    COSArray descendants = font.getCOSArray(COSName.DESCENDANT_FONTS);
    if (COSName.TYPE0.equals(font.getCOSName(COSName.SUBTYPE))
        && descendants != null
        && descendants.size() > 0
        && descendants.getObject(0) instanceof COSDictionary descendant) {
      described = descendant;
    }
    return described.getCOSDictionary(COSName.FONT_DESC);
  }
}
