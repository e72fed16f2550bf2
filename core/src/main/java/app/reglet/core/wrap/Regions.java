package app.reglet.core.wrap;

import app.reglet.core.measure.Box;
import java.util.Optional;

/** What has named boxes to hang pieces on: a wrap, or a group for the pieces in it. */
@FunctionalInterface
public interface Regions {
  /** Where a region lies, empty when there is none. */
  Optional<Box> box(Region region);
}
