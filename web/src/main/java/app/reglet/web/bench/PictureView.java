package app.reglet.web.bench;

import app.reglet.core.design.Content;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Design;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Toning;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.press.art.Rect;
import app.reglet.press.compose.FramedPicture;
import app.reglet.press.compose.Pictures;
import app.reglet.press.picture.Picture;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A picture as the title block shows it.
 *
 * @param content the picture itself
 * @param zoom in percent
 * @param ratio its width by its height, as it is seen, turned
 * @param resolution at how many pixels per inch it is printed, and how large it would be at 300
 * @param dark the darker of two colours on a screen, {@code #rrggbb}
 * @param light the lighter
 * @param saidFraming how it lies, in a few words
 * @param saidTreatment how it is treated, in a few words
 * @param saidCut what of it is seen, in a few words
 * @param soft how far the edge of a cut-out fades
 */
public record PictureView(
    Content.Picture content,
    String zoom,
    String ratio,
    String resolution,
    String dark,
    String light,
    String saidFraming,
    String saidTreatment,
    String saidCut,
    String soft) {
  private static final double PRINT = 300;
  private static final double MM_PER_INCH = 25.4;

  /**
   * The view of a picture in a box.
   *
   * @param picture null for none; then there is no view, as when its file is not here
   */
  static PictureView of(
      Content.Picture picture, Box box, Design design, Unit unit, Pictures files) {
    return picture == null
        ? null
        : files.find(picture.sha()).map(f -> of(f, picture, box, design, unit)).orElse(null);
  }

  private static PictureView of(
      Picture file, Content.Picture picture, Box box, Design design, Unit unit) {
    Toning toning = picture.treatment().toning();
    return new PictureView(
        picture,
        TitleBlock.plain(100 * picture.framing().zoom(), 1),
        picture.framing().quarters() % 2 == 1
            ? file.height() + " / " + file.width()
            : file.width() + " / " + file.height(),
        String.format(
            Locale.ROOT,
            "%.0f ppi; 300 at %s × %s %s",
            Math.floor(new FramedPicture(file, picture, Rect.of(box)).ppi()),
            printed(file.width()).figure(unit, unit == Unit.IN ? 2 : 0),
            printed(file.height()).figure(unit, unit == Unit.IN ? 2 : 0),
            unit.symbol()),
        design.solid(toning.dark()).hex(),
        design.solid(toning.light()).hex(),
        said(picture.framing()),
        said(picture.treatment()),
        picture.cutOut().isPresent() ? "its subject" : "all of it",
        picture.cutOut().map(CutOut::soft).orElse(Length.ZERO).print(unit));
  }

  private static Length printed(int pixels) {
    return Length.nearMm(pixels * MM_PER_INCH / PRINT);
  }

  private static String said(Framing f) {
    List<String> said = new ArrayList<>();
    said.add(f.fit() == Framing.Fit.COVER ? "fills its box" : "stands whole");
    if (f.zoom() != 1) {
      said.add(TitleBlock.plain(100 * f.zoom(), 0) + " %");
    }
    if (f.quarters() != 0) {
      said.add("turned " + 90 * f.quarters() + "°");
    }
    if (f.mirrored()) {
      said.add("mirrored");
    }
    return String.join(", ", said);
  }

  private static String said(Treatment t) {
    List<String> said = new ArrayList<>();
    if (t.toning().kind() == Toning.Kind.GRAY) {
      said.add("in gray");
    } else if (t.toning().kind() == Toning.Kind.TWO_COLOURS) {
      said.add("in two colours");
    }
    if (!t.levels().equals(Treatment.Levels.NONE)) {
      said.add("levels");
    }
    if (t.brightness() != 0) {
      said.add(t.brightness() < 0 ? "darker" : "lighter");
    }
    if (t.contrast() != 0) {
      said.add(t.contrast() < 0 ? "softer" : "harder");
    }
    if (t.saturation() != 0) {
      said.add(t.saturation() < 0 ? "paler" : "more colour");
    }
    if (t.shade().amount() != 0) {
      said.add("shaded");
    }
    return said.isEmpty() ? "as it is" : String.join(", ", said);
  }
}
