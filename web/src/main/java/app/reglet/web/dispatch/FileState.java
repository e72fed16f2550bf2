package app.reglet.web.dispatch;

import app.reglet.web.shell.Version;
import app.reglet.web.store.Sum;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Fronts;
import java.util.List;

/**
 * All that a file is made of. Where one of these is another, so is the file: it has another number,
 * and one that was made before is not handed out again.
 *
 * @param reglet which Reglet makes it: the next may draw otherwise
 * @param cover facts and design
 * @param house whose rules it follows
 * @param way how it is made, where that is not the house's usual way
 * @param profile the sum of the press's profile; empty for a file in sRGB
 * @param absent what is not here, and what stands for it
 */
record FileState(
    String reglet, String cover, String house, String way, String profile, List<String> absent) {

  static FileState of(Cover cover, String way, String profile) {
    return new FileState(
        Version.NUMBER,
        Fronts.key(cover.edition()),
        cover.edition().getHouseId(),
        way,
        profile,
        cover.art().map(a -> a.absent()).orElse(List.of()));
  }

  /** The SHA-256 of all of it, in hexadecimal digits. */
  String sum() {
    return Sum.of(toString());
  }
}
