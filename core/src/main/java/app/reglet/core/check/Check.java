package app.reglet.core.check;

import app.reglet.core.wrap.FilePage;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** One thing that is checked. */
public interface Check {
  /** What it finds, nothing when all is well. */
  List<Finding> find(Subject subject);

  /** Every check of what lies on the sheet, in the order in which findings are told. */
  static List<Check> all() {
    return List.of(
        new SpineTypeAllowed(),
        new SpineTypeFitsBand(),
        new SpineTypeLargeEnough(),
        new SpineTypeRuns(),
        new WordsAcrossFold(),
        new WordsInsideSafe(),
        new WordsFitBox(),
        new WordsHaveGlyphs(),
        new FactsStated(),
        new FamiliesFew(),
        new FormsThere(),
        new TypeLargeEnough(),
        new TypeInOneBlack(),
        new TitleReadSmall(),
        new TitleAsListed(),
        new BarcodeAreaClear(),
        new BarcodePresent(),
        new BarcodeInArea(),
        new BarcodeSaysIsbn(),
        new BarcodeReadable(),
        new BleedReached(),
        new LinesThick(),
        new PictureFineEnough(),
        new PictureUnspoilt(),
        new PicturesLicensed(),
        new PageBringsFonts(),
        new OnPages());
  }

  /** Every check of what lies on the inside: nothing there is read off a shelf or scanned. */
  static List<Check> ofInside() {
    return List.of(
        new GlueKeptFree(),
        new WordsAcrossFold(),
        new WordsInsideSafe(),
        new WordsFitBox(),
        new WordsHaveGlyphs(),
        new FactsStated(),
        new TypeLargeEnough(),
        new TypeInOneBlack(),
        new BleedReached(),
        new LinesThick(),
        new PictureFineEnough(),
        new PictureUnspoilt(),
        new PageBringsFonts(),
        new OnPages());
  }

  /** Of these checks those that can be made of a page that somebody drew, wherever it was drawn. */
  private static List<Check> ofFiles(List<Check> all) {
    Set<Class<?>> ofPieces =
        Set.of(
            WordsFitBox.class,
            WordsHaveGlyphs.class,
            FactsStated.class,
            FamiliesFew.class,
            FormsThere.class,
            BarcodePresent.class,
            BleedReached.class,
            PicturesLicensed.class,
            PageBringsFonts.class,
            OnPages.class);
    return all.stream().filter(c -> !ofPieces.contains(c.getClass())).toList();
  }

  /** Every check of a page of a file that is meant for a side of the sheet. */
  static List<Check> ofFile(FilePage page) {
    return ofFiles(page == FilePage.INSIDE ? ofInside() : all());
  }

  /** Runs every check, those of what the house offers first. */
  static List<Finding> run(Subject subject) {
    boolean inside = subject.wrap().page() == FilePage.INSIDE;
    List<Finding> findings =
        inside
            ? new ArrayList<>()
            : new ArrayList<>(OfferCheck.run(subject.wrap().spec(), subject.wrap().house()));
    for (Check check : inside ? ofInside() : all()) {
      findings.addAll(check.find(subject));
    }
    return Finding.at(subject.wrap().house().files().findings(), findings);
  }
}
