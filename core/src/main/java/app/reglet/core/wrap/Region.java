package app.reglet.core.wrap;

import app.reglet.core.Refusal;
import java.util.Locale;

/**
 * A named box that a piece can hang on: {@code sheet}, {@code trimmed}, {@code barcode}, a panel's
 * {@code front.trim}, {@code front.safe}, {@code front.bleed}; or, inside a group, {@code group}.
 *
 * @param bounds which bounds
 * @param panel of which panel; null for the sheet, the trimmed cover and a group
 */
public record Region(Bounds bounds, PanelKind panel) {
  /** Which bounds of a panel. */
  public enum Bounds {
    /** The whole sheet. */
    SHEET,
    /** The whole cover after the knife. */
    TRIMMED,
    /** To the edge of bleed or turn-in. */
    BLEED,
    /** As it will be seen. */
    TRIM,
    /** Where nothing is at risk. */
    SAFE,
    /** The area kept for the barcode. */
    BARCODE,
    /** The box of the group that a piece is in. */
    GROUP
  }

  public static final Region SHEET = new Region(Bounds.SHEET, null);
  public static final Region TRIMMED = new Region(Bounds.TRIMMED, null);
  public static final Region BARCODE = new Region(Bounds.BARCODE, PanelKind.BACK);

  public static final Region GROUP = new Region(Bounds.GROUP, null);

  public static Region trim(PanelKind panel) {
    return new Region(Bounds.TRIM, panel);
  }

  public static Region safe(PanelKind panel) {
    return new Region(Bounds.SAFE, panel);
  }

  /** The name used in documents. */
  public String id() {
    return switch (bounds) {
      case SHEET -> "sheet";
      case TRIMMED -> "trimmed";
      case BARCODE -> "barcode";
      case GROUP -> "group";
      default -> panel.id() + "." + bounds.name().toLowerCase(Locale.ROOT);
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
    if (id.equals("trimmed")) {
      return TRIMMED;
    }
    if (id.equals("barcode")) {
      return BARCODE;
    }
    if (id.equals("group")) {
      return GROUP;
    }
    int dot = id.indexOf('.');
    if (dot > 0) {
      for (PanelKind panel : PanelKind.values()) {
        for (Bounds bounds : new Bounds[] {Bounds.BLEED, Bounds.TRIM, Bounds.SAFE}) {
          Region region = new Region(bounds, panel);
          if (region.id().equals(id)) {
            return region;
          }
        }
      }
    }
    throw new Refusal("“" + id + "” is no part of a wrap.");
  }
}
