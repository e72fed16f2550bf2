package app.reglet.press.font;

import java.nio.ByteBuffer;

/**
 * What a font's maker lets be done with it: {@code fsType} of its table OS/2 (ISO/IEC 14496-22,
 * 5.2.7). Where several bits are set, as tables up to version 2 may, the least restrictive counts.
 *
 * @param permission whether files may carry it
 * @param whole whether it may only be carried whole, not cut down to the glyphs that are used
 * @param bitmapsOnly whether its outlines may not be carried at all
 */
public record Embedding(Permission permission, boolean whole, boolean bitmapsOnly) {
  private static final int RESTRICTED = 0x2;
  private static final int PREVIEW_AND_PRINT = 0x4;
  private static final int EDITABLE = 0x8;
  private static final int NO_SUBSETTING = 0x100;
  private static final int BITMAPS_ONLY = 0x200;
  private static final int AT = 8;

  /** Whether a file may carry a font. */
  public enum Permission {
    INSTALLABLE,
    EDITABLE,
    PREVIEW_AND_PRINT,
    RESTRICTED
  }

  /** Of a font; one that says nothing allows everything. */
  static Embedding of(FontTables font) {
    ByteBuffer os2 = font.table("OS/2").orElse(null);
    int bits = os2 == null || os2.capacity() < AT + 2 ? 0 : os2.getShort(AT) & 0xffff;
    Permission permission =
        (bits & EDITABLE) != 0
            ? Permission.EDITABLE
            : (bits & PREVIEW_AND_PRINT) != 0
                ? Permission.PREVIEW_AND_PRINT
                : (bits & RESTRICTED) != 0 ? Permission.RESTRICTED : Permission.INSTALLABLE;
    return new Embedding(permission, (bits & NO_SUBSETTING) != 0, (bits & BITMAPS_ONLY) != 0);
  }

  /** Whether a press file may carry its outlines. */
  public boolean allowed() {
    return permission != Permission.RESTRICTED && !bitmapsOnly;
  }

  /** What the maker allows, as a sentence. */
  public String said() {
    if (permission == Permission.RESTRICTED) {
      return "The font's maker forbids that files carry it (fsType 2), and a press file has to: ask the maker for a file of it with that permission, or choose another font.";
    }
    if (bitmapsOnly) {
      return "The font's maker allows only pictures of its letters in files, no outlines (fsType bit 9), and a press file needs outlines: ask the maker for a file of it with that permission, or choose another font.";
    }
    String allowed =
        switch (permission) {
          case PREVIEW_AND_PRINT -> "Its maker allows it in files for viewing and printing.";
          case EDITABLE -> "Its maker allows it in files for viewing, printing and editing.";
          default -> "Its maker sets no bounds to files that carry it.";
        };
    return whole
        ? allowed + " It must be in them whole, not only the glyphs used: they grow by it."
        : allowed;
  }
}
