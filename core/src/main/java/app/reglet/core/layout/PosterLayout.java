package app.reglet.core.layout;

import app.reglet.core.book.Fact;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;

/** The title alone, in capitals that fill the front; a picture in two colours behind it. */
record PosterLayout(Draft d) {
  void lay() {
    boolean light = d.isDark(Role.ACCENT);
    Colour words = light ? d.on(Role.ACCENT) : d.colour(Role.INK);
    if (d.photo().isPresent()) {
      Treatment two =
          Treatment.NONE.withToning(
              new Treatment.Toning(
                  Treatment.Toning.Kind.TWO_COLOURS,
                  light ? d.colour(Role.INK) : d.colour(Role.ACCENT),
                  light ? d.colour(Role.ACCENT) : d.colour(Role.PAPER)));
      d.ground(Ground.plain(d.colour(Role.ACCENT)).withPicture(d.photo().get().withTreatment(two)));
    } else {
      d.ground(Role.ACCENT);
      words = d.on(Role.ACCENT);
    }
    Words title = d.titled(words, Align.LEFT, VerticalAlign.TOP).withLeading(0.94);
    d.add(
        Fact.TITLE.id(),
        Fact.TITLE.title(),
        d.front(0.01, 0.01, 0.01, 0.74),
        title.withType(title.type().withLetters(Type.Letters.CAPITALS)));
    d.words(
        Fact.SUBTITLE,
        d.foot(0.01, 0.1, 0.01, 0.09),
        d.pair.text(),
        0.034,
        words,
        Align.LEFT,
        VerticalAlign.BOTTOM);
    d.words(
        Fact.AUTHOR,
        d.foot(0.01, 0.01, 0.01, 0.07),
        d.pair.display(),
        0.05,
        words,
        Align.LEFT,
        VerticalAlign.BOTTOM);
    Surroundings around =
        d.photo().isPresent()
            ? Surroundings.onPanel(d, Role.ACCENT, 0.9)
            : new Surroundings(d, Role.ACCENT);
    around.all(0.6, Role.INK, "saltire", "gull");
  }
}
