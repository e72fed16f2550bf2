package app.reglet.web.dispatch;

import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Fronts;
import java.time.Clock;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/**
 * Numbers what is made of an edition. The same facts and the same cover have the same number; a
 * change of either has the next.
 */
@Service
class FileNumbers {
  private final MadeFiles files;
  private final Clock clock;

  FileNumbers(MadeFiles files, Clock clock) {
    this.files = files;
    this.clock = clock;
  }

  /** The facts, the cover, and how the file is made where that is not the house's usual way. */
  private static String state(EditionEntity e, PressOptions options) {
    return Fronts.key(e)
        + "."
        + e.getHouseId()
        + (options.equals(PressOptions.HOUSE) ? "" : " " + options.text());
  }

  /** The number that a file made now has, or would have. */
  int next(EditionEntity e, PressOptions options) {
    return files
        .findByEditionIdAndState(e.getId(), state(e, options))
        .map(MadeFile::getNumber)
        .orElseGet(() -> files.newest(e.getId()).orElse(0) + 1);
  }

  /** The number of a file that is made now, kept. */
  int take(EditionEntity e, PressOptions options) {
    for (int tries = 0; ; tries++) {
      var known = files.findByEditionIdAndState(e.getId(), state(e, options));
      if (known.isPresent()) {
        return known.get().getNumber();
      }
      try {
        int number = files.newest(e.getId()).orElse(0) + 1;
        return files
            .saveAndFlush(new MadeFile(e.getId(), number, state(e, options), clock.instant()))
            .getNumber();
      } catch (DataIntegrityViolationException taken) {
        if (tries > 20) {
          throw taken; // others made files at the same moment, again and again
        }
      }
    }
  }
}
