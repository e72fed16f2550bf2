package app.reglet.core.check;

import java.util.ArrayList;
import java.util.List;

/** One thing that is checked. */
public interface Check {
  /** What it finds, nothing when all is well. */
  List<Finding> find(Subject subject);

  /** Every check, in the order in which findings are told. */
  static List<Check> all() {
    return List.of(
        new TrimOffered(),
        new PagesOffered(),
        new SpineTypeAllowed(),
        new SpineTypeFitsBand(),
        new SpineTypeLargeEnough(),
        new WordsAcrossFold(),
        new WordsInsideSafe(),
        new WordsFitBox(),
        new WordsHaveGlyphs(),
        new BarcodeAreaClear(),
        new BarcodePresent(),
        new BleedReached(),
        new PictureFineEnough());
  }

  /** Runs every check. */
  static List<Finding> run(Subject subject) {
    List<Finding> findings = new ArrayList<>();
    for (Check check : all()) {
      findings.addAll(check.find(subject));
    }
    return findings;
  }
}
