package app.reglet.press.pdf;

import app.reglet.core.measure.Box;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Pixels;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.art.Rect;
import app.reglet.press.inks.Flattening;
import app.reglet.press.inks.Inking;
import app.reglet.press.inks.Outlining;
import app.reglet.press.raster.FinePixels;
import java.util.List;
import java.util.function.Predicate;

/**
 * A cover's marks as a press file has them, step by step: letters as outlines, colours as inks,
 * what shows through laid flat, all of it one picture. Each only where the house wants it.
 */
final class PressMarks {
  private final PressMaking making;
  private final FinePixels pixels;

  PressMarks(PressMaking making) {
    this.making = making;
    this.pixels = new FinePixels(making.isX1a(), making.isInks() ? making.inks() : null);
  }

  FinePixels pixels() {
    return pixels;
  }

  /**
   * The marks of a page.
   *
   * @param place of the sheet, which is the page
   * @param stays placed pages that the file carries in inks as they are
   */
  List<Mark> of(List<? extends Mark> marks, Box place, Predicate<PlacedPage> stays) {
    Rect sheet = Rect.of(place);
    List<Mark> now = List.copyOf(marks);
    boolean picture = making.rules().asPicture() > 0;
    if (making.rules().outlines() && !picture) {
      now = Outlining.of(now);
    }
    if (making.isInks()) {
      Predicate<PlacedPage> kept = picture ? p -> false : stays;
      now = new Inking(making.inks(), making.rules().mostPpi(), making.wantedPpi(), kept).of(now);
    }
    if (picture) {
      return List.of(new Pixels.Drawn(now, sheet, making.rules().asPicture(), true).image());
    }
    if (making.isX1a()) {
      return Flattening.of(now, sheet, pixels::mayBeClear, making.inks()::within);
    }
    return making.isInks()
        ? Flattening.ofMultiplied(now, sheet, pixels::mayBeClear, making.inks()::within)
        : now;
  }
}
