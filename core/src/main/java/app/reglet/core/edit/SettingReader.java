package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Type;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.ArrayList;
import java.util.List;

/** Reads what is typed about how words are set; what is not sent stays. */
final class SettingReader {
  private final Typed typed;
  private final Stock stock;

  SettingReader(Typed typed, Stock stock) {
    this.typed = typed;
    this.stock = stock;
  }

  Type type(Type old) {
    String face = typed.text("face", old.face());
    if (!stock.hasFace(face)) {
      throw new Refusal("face", "There is no typeface “" + face + "” here: choose another.");
    }
    return new Type(
        face,
        typed.has("size") ? Length.parse(typed.text("size"), Unit.PT) : old.size(),
        typed.choice("fit", old.fit()),
        (int) Math.round(typed.figure("tracking", "letter spacing", -100, 1000, old.tracking())),
        typed.choice("letters", old.letters()),
        features(old.features()));
  }

  /** One feature is put to use or out of use at a time: {@code feature.ss01=on}. */
  private List<String> features(List<String> old) {
    List<String> features = new ArrayList<>(old);
    for (String tag : typed.after("feature.")) {
      if (!tag.matches("[a-z]{2}[a-z0-9]{2}")) {
        throw new Refusal("feature", "“" + tag + "” is no feature of a typeface.");
      }
      features.remove(tag);
      if (typed.flag("feature." + tag, false)) {
        features.add(tag);
      }
    }
    if (typed.has("figures")) {
      features.removeAll(List.of("lnum", "onum"));
      String figures = typed.text("figures");
      if (List.of("lnum", "onum").contains(figures)) {
        features.add(figures);
      }
    }
    if (features.size() > DesignLimits.MOST_FORMS) {
      throw new Refusal(
          "feature",
          "At most "
              + DesignLimits.MOST_FORMS
              + " forms of a typeface are put to use at once; these would be "
              + features.size()
              + ". Take one off first.");
    }
    return features;
  }

  Setting setting(Setting old) {
    return new Setting(
        typed.choice("align", old.align()),
        typed.choice("vertical", old.vertical()),
        typed.choice("direction", old.direction()),
        typed.figure("leading", "leading", 0.6, 4, old.leading()),
        typed.figure("gap", "space between paragraphs", 0, 4, old.gap()),
        typed.figure("indent", "indent in ems", 0, 10, old.indent()),
        typed.choice("breaks", old.breaks()),
        typed.flag("hyphenated", old.hyphenated()),
        typed.flag("hanging", old.hanging()),
        language(old.language()));
  }

  private String language(String old) {
    String tag = typed.text("language", old).strip();
    if (!tag.isEmpty() && !tag.matches("[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8}){0,4}")) {
      throw new Refusal(
          "language", "“" + tag + "” is no tag of a language: two letters, such as en or de.");
    }
    return tag;
  }
}
