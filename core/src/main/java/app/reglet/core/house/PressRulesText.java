package app.reglet.core.house;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** How a press file is made, in a sentence. */
public final class PressRulesText {
  private PressRulesText() {}

  /**
   * Says it.
   *
   * @param condition what people call the printing condition
   */
  public static String say(PressRules rules, String condition) {
    List<String> said = new ArrayList<>();
    said.add(
        rules.standard() == PressRules.Standard.PLAIN ? "A plain PDF" : rules.standard().title());
    if (rules.isInks()) {
      said.add(
          "in inks for "
              + condition.substring(0, 1).toLowerCase(Locale.ROOT)
              + condition.substring(1)
              + ", "
              + (rules.intent() == PressRules.Intent.PERCEPTUAL
                  ? "relations of colours kept"
                  : "colours kept where they can be printed")
              + (rules.blackPoint() ? ", darks kept apart" : "")
              + ", at most "
              + rules.mostInk()
              + " % of ink");
    } else {
      said.add("in sRGB, which the house converts, bars in black ink alone");
    }
    if (rules.asPicture() > 0) {
      said.add("the whole sheet one picture of " + rules.asPicture() + " ppi");
    } else {
      said.add(rules.outlines() ? "letters as outlines" : "type live, its fonts inside");
      if (rules.standard() == PressRules.Standard.X1A) {
        said.add("what shows through laid flat");
      }
    }
    if (rules.mostPpi() > 0) {
      said.add("pictures above " + rules.mostPpi() + " ppi made coarser");
    }
    return String.join("; ", said) + ".";
  }
}
