package app.reglet.core.wrap;

import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.Optional;

/** What has named boxes to hang pieces on: a wrap, or a group for the pieces in it. */
@FunctionalInterface
public interface Regions {
  /** Where a region lies, empty when there is none. */
  Optional<Box> box(Region region);

  /** Those of a group: its own box, from its corner. */
  static Regions ofGroup(Size size) {
    Box whole = new Box(Length.ZERO, Length.ZERO, size.width(), size.height());
    return region -> region.equals(Region.GROUP) ? Optional.of(whole) : Optional.empty();
  }
}
