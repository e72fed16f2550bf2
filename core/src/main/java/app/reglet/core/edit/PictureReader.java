package app.reglet.core.edit;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.design.Treatment.Shade;
import app.reglet.core.design.Treatment.Toning;
import app.reglet.core.measure.Length;
import java.util.List;
import java.util.Optional;

/** Reads what is typed about a picture; what is not sent stays. */
final class PictureReader {
  private final Typed typed;
  private final Stock stock;

  PictureReader(Typed typed, Stock stock) {
    this.typed = typed;
    this.stock = stock;
  }

  /**
   * A picture that is here.
   *
   * @throws Refusal when it is not
   */
  String kept(String sha) {
    if (!stock.hasPicture(sha)) {
      throw new Refusal("picture", "This picture is not here: bring its file again.");
    }
    return sha;
  }

  Content.Picture changed(Content.Picture old) {
    String sha = typed.has("picture") ? kept(typed.text("picture")) : old.sha();
    return new Content.Picture(
        sha,
        framing(old.framing()),
        typed.has("untreated") ? Treatment.NONE : treatment(old.sha(), old.treatment()),
        sha.equals(old.sha()) ? cutOut(old) : Optional.empty());
  }

  /**
   * {@code cutOut}: {@code off}, {@code proposed} from what is painted and what is alike, or {@code
   * painted} into what there is; {@code marks}: what is painted; {@code cutSoft}: how far the edge
   * fades.
   */
  private Optional<CutOut> cutOut(Content.Picture old) {
    Optional<CutOut> was = old.cutOut();
    Length soft = typed.lengthIfAny("cutSoft").or(() -> was.map(CutOut::soft)).orElse(Length.ZERO);
    List<CutOut.Contour> before = was.map(CutOut::contours).orElse(List.of());
    return switch (typed.text("cutOut", "")) {
      case "off" -> Optional.empty();
      case "proposed" -> Optional.of(new CutOut(stock.proposed(kept(old.sha()), marks()), soft));
      case "painted" ->
          Optional.of(new CutOut(stock.painted(kept(old.sha()), before, marks()), soft));
      default -> was.map(c -> c.withSoft(soft));
    };
  }

  private CutMarks marks() {
    return CutMarks.parse(typed.text("marks", ""));
  }

  /** {@code focusX}, {@code focusY}: of the picture as it is seen, turned and then mirrored. */
  private Framing framing(Framing old) {
    Framing framed =
        new Framing(
            old.focus(),
            typed.figure(
                    "zoom",
                    "enlargement in percent",
                    100,
                    100 * Framing.MOST_ZOOM,
                    100 * old.zoom())
                / 100,
            typed.choice("fit", old.fit()),
            Math.floorMod(
                old.quarters() + (int) typed.figure("turned", "quarter turn", -3, 3, 0), 4),
            typed.flag("mirrored", old.mirrored()));
    if (!typed.has("focusX") && !typed.has("focusY")) {
      return framed;
    }
    Focus seen = framed.seenFocus();
    return framed.withSeenFocus(
        new Focus(
            typed.figure("focusX", "focus", 0, 1, seen.x()),
            typed.figure("focusY", "focus", 0, 1, seen.y())));
  }

  private Treatment treatment(String sha, Treatment old) {
    return new Treatment(
        typed.text("levels", "").equals("automatic") ? stock.levels(sha) : levels(old.levels()),
        amount("brightness", old.brightness()),
        amount("contrast", old.contrast()),
        amount("saturation", old.saturation()),
        new Toning(
            typed.choice("toning", old.toning().kind()),
            colour("darkColour", old.toning().dark()),
            colour("lightColour", old.toning().light())),
        new Shade(
            typed.choice("shadeSide", old.shade().side()),
            amount("shade", old.shade().amount()),
            whole("shadeReach", "reach in percent", 1, Treatment.MOST, old.shade().reach())));
  }

  private Levels levels(Levels old) {
    return new Levels(
        whole("levelBlack", "level", 0, Levels.TOP - 1, old.black()),
        whole("levelWhite", "level", 1, Levels.TOP, old.white()),
        typed.figure(
            "levelGamma",
            "middle of the levels",
            Levels.LEAST_GAMMA,
            Levels.MOST_GAMMA,
            old.gamma()));
  }

  private Colour colour(String field, Colour old) {
    return typed.has(field) ? Colour.parse(typed.text(field)) : old;
  }

  private int amount(String field, int old) {
    return whole(field, field, -Treatment.MOST, Treatment.MOST, old);
  }

  private int whole(String field, String what, int least, int most, int old) {
    return (int) Math.round(typed.figure(field, what, least, most, old));
  }
}
