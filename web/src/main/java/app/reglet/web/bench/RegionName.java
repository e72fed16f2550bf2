package app.reglet.web.bench;

import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.Locale;

/** What a region that pieces hang on is called on the bench. */
final class RegionName {
  private RegionName() {}

  /** Without an article: {@code front’s safe zone}. */
  static String of(Region region, Wrap wrap) {
    return switch (region.bounds()) {
      case SHEET -> "sheet";
      case TRIMMED -> "trimmed cover";
      case BARCODE -> "barcode area";
      case GROUP -> "group";
      case SAFE -> panel(region) + "safe zone";
      case TRIM -> panel(region) + "trim";
      case BLEED -> panel(region) + (wrap.turnIn() ? "turn-in" : "bleed");
    };
  }

  private static String panel(Region region) {
    return region.panel().title().toLowerCase(Locale.ROOT) + "’s ";
  }
}
