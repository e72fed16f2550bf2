package app.reglet.web.dispatch;

import app.reglet.web.titles.EditionEntity;
import java.time.Clock;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/**
 * Numbers what is made of an edition. What is made of the same has the same number; a change of the
 * cover, its facts, the way it is made or of Reglet has the next.
 */
@Service
class FileNumbers {
  private final MadeFiles files;
  private final Clock clock;

  FileNumbers(MadeFiles files, Clock clock) {
    this.files = files;
    this.clock = clock;
  }

  /**
   * The number that a file made now has, or would have.
   *
   * @param state the sum of all that the file is made of
   */
  int next(EditionEntity e, String state) {
    return files
        .findByEditionIdAndState(e.getId(), state)
        .map(MadeFile::getNumber)
        .orElseGet(() -> files.newest(e.getId()).orElse(0) + 1);
  }

  /**
   * The number of a file that is made now, kept.
   *
   * @param state the sum of all that the file is made of
   */
  int take(EditionEntity e, String state) {
    for (int tries = 0; ; tries++) {
      var known = files.findByEditionIdAndState(e.getId(), state);
      if (known.isPresent()) {
        return known.get().getNumber();
      }
      try {
        int number = files.newest(e.getId()).orElse(0) + 1;
        return files
            .saveAndFlush(new MadeFile(e.getId(), number, state, clock.instant()))
            .getNumber();
      } catch (DataIntegrityViolationException taken) {
        if (tries > 20) {
          throw taken; // others made files at the same moment, again and again
        }
      }
    }
  }
}
