package app.reglet.core.layout;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Setting.Align;
import app.reglet.core.design.Setting.VerticalAlign;
import app.reglet.core.design.Type;
import app.reglet.core.design.Words;

/** The first letter of the title as large as the front takes; a picture is seen through it. */
record InitialLayout(Draft d) {
  void lay() {
    boolean pictured = d.photo().isPresent();
    Role ground = pictured ? Role.PAPER : Role.INK;
    d.ground(ground);
    Colour letter = pictured ? d.colour(Role.INK) : d.large(Role.ACCENT, Role.INK);
    Words initial =
        Words.of(null, "{" + Book.INITIAL + "}", d.pair.display(), d.size(0.6), letter)
            .aligned(Align.LEFT, VerticalAlign.MIDDLE)
            .withLeading(1);
    d.add(
        "initial-1",
        "Initial",
        d.front(0, 0, 0, 0.58),
        initial
            .withType(initial.type().withFit(Type.Fit.LARGEST).withLetters(Type.Letters.CAPITALS))
            .through(d.photo().orElse(null)));
    d.title(d.front(0.02, 0.655, 0.02, 0.18), d.on(ground), Align.LEFT, VerticalAlign.TOP);
    d.words(
        Fact.SUBTITLE,
        d.front(0.02, 0.845, 0.02, 0.06),
        d.pair.italic(),
        0.032,
        d.on(ground),
        Align.LEFT,
        VerticalAlign.TOP);
    d.words(
        Fact.AUTHOR,
        d.foot(0.02, 0.01, 0.02, 0.06),
        d.pair.strong(),
        0.036,
        d.on(ground),
        Align.LEFT,
        VerticalAlign.BOTTOM);
    new Surroundings(d, ground).all(0.6, Role.ACCENT, "rule-asterism", "sprig-3");
  }
}
