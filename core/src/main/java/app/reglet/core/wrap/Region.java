package app.reglet.core.wrap;

import app.reglet.core.Refusal;
import java.util.Locale;

/**
 * A named box of the wrap that a piece can hang on: {@code sheet}, {@code barcode}, or a panel's
 * {@code front.trim}, {@code front.safe}, {@code front.bleed}.
 *
 * @param frame which outline
 * @param panel of which panel; null for the sheet
 */
public record Region(Frame frame, PanelKind panel) {
  /** Which outline of a panel. */
  public enum Frame {
    /** The whole sheet. */
    SHEET,
    /** To the edge of bleed or turn-in. */
    BLEED,
    /** As it will be seen. */
    TRIM,
    /** Where nothing is at risk. */
    SAFE,
    /** The area kept for the barcode. */
    BARCODE
  }

  public static final Region SHEET = new Region(Frame.SHEET, null);
  public static final Region BARCODE = new Region(Frame.BARCODE, PanelKind.BACK);

  public static Region trim(PanelKind panel) {
    return new Region(Frame.TRIM, panel);
  }

  public static Region safe(PanelKind panel) {
    return new Region(Frame.SAFE, panel);
  }

  /** The name used in documents. */
  public String id() {
    return switch (frame) {
      case SHEET -> "sheet";
      case BARCODE -> "barcode";
      default -> panel.id() + "." + frame.name().toLowerCase(Locale.ROOT);
    };
  }

  /**
   * Reads {@link #id()}.
   *
   * @throws Refusal when there is no such region
   */
  public static Region parse(String id) {
    if (id.equals("sheet")) {
      return SHEET;
    }
    if (id.equals("barcode")) {
      return BARCODE;
    }
    int dot = id.indexOf('.');
    if (dot > 0) {
      for (PanelKind panel : PanelKind.values()) {
        for (Frame frame : new Frame[] {Frame.BLEED, Frame.TRIM, Frame.SAFE}) {
          Region region = new Region(frame, panel);
          if (region.id().equals(id)) {
            return region;
          }
        }
      }
    }
    throw new Refusal("“" + id + "” is no part of a wrap.");
  }
}
