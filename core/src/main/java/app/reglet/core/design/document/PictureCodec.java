package app.reglet.core.design.document;

import app.reglet.core.Refusal;
import app.reglet.core.design.Content;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Framing;
import app.reglet.core.design.Treatment;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.design.Treatment.Shade;
import app.reglet.core.design.Treatment.Toning;
import app.reglet.core.measure.Length;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.stream.Collectors;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Pictures as JSON and back: what is not as it is at first is written. */
final class PictureCodec implements ContentCodec<Content.Picture> {
  @Override
  public String kind() {
    return "picture";
  }

  @Override
  public void write(Content.Picture picture, ObjectNode out) {
    out.put("picture", picture.sha());
    Framing f = picture.framing();
    if (!f.focus().equals(Focus.MIDDLE)) {
      out.put("focusX", f.focus().x()).put("focusY", f.focus().y());
    }
    if (f.zoom() != 1) {
      out.put("zoom", f.zoom());
    }
    if (f.fit() != Framing.Fit.COVER) {
      out.put("fit", f.fit().name());
    }
    if (f.quarters() != 0) {
      out.put("quarters", f.quarters());
    }
    if (f.mirrored()) {
      out.put("mirrored", true);
    }
    if (!picture.treatment().isNone()) {
      write(picture.treatment(), out.putObject("treatment"));
    }
    picture.cutOut().ifPresent(c -> write(c, out.putObject("cutOut")));
  }

  /** Points are kept to a ten-thousandth of the picture: finer than any brush. */
  private static void write(CutOut c, ObjectNode out) {
    if (!c.soft().isZero()) {
      out.put("soft", c.soft().toString());
    }
    ArrayNode contours = out.putArray("contours");
    for (CutOut.Contour contour : c.contours()) {
      contours.add(
          contour.points().stream()
              .map(p -> share(p.x()) + "," + share(p.y()))
              .collect(Collectors.joining(" ")));
    }
  }

  private static String share(double v) {
    return BigDecimal.valueOf(v)
        .setScale(4, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static CutOut cutOut(Fields in) {
    return new CutOut(
        in.texts("contours").stream().map(PictureCodec::contour).toList(),
        in.length("soft", Length.ZERO));
  }

  private static CutOut.Contour contour(String points) {
    try {
      return new CutOut.Contour(
          Arrays.stream(points.split(" "))
              .map(p -> p.split(","))
              .map(
                  xy ->
                      new Figure.Free.Corner(Double.parseDouble(xy[0]), Double.parseDouble(xy[1])))
              .toList());
    } catch (NumberFormatException | IndexOutOfBoundsException e) {
      throw new Refusal("An outline of a picture in this design can't be read.");
    }
  }

  private static void write(Treatment t, ObjectNode out) {
    if (!t.levels().equals(Levels.NONE)) {
      out.putObject("levels")
          .put("black", t.levels().black())
          .put("white", t.levels().white())
          .put("gamma", t.levels().gamma());
    }
    put("brightness", t.brightness(), out);
    put("contrast", t.contrast(), out);
    put("saturation", t.saturation(), out);
    if (!t.toning().equals(Toning.NONE)) {
      out.putObject("toning")
          .put("kind", t.toning().kind().name())
          .put("dark", t.toning().dark().text())
          .put("light", t.toning().light().text());
    }
    if (!t.shade().equals(Shade.NONE)) {
      out.putObject("shade")
          .put("side", t.shade().side().name())
          .put("amount", t.shade().amount())
          .put("reach", t.shade().reach());
    }
  }

  private static void put(String name, int value, ObjectNode out) {
    if (value != 0) {
      out.put(name, value);
    }
  }

  @Override
  public Content.Picture read(Fields in) {
    return new Content.Picture(
        in.text("picture"),
        new Framing(
            new Focus(in.number("focusX", 0.5), in.number("focusY", 0.5)),
            in.number("zoom", 1),
            in.choice("fit", Framing.Fit.COVER),
            in.whole("quarters", 0),
            in.has("mirrored") && in.flag("mirrored")),
        in.partIfAny("treatment", PictureCodec::treatment).orElse(Treatment.NONE),
        in.partIfAny("cutOut", PictureCodec::cutOut));
  }

  private static Treatment treatment(Fields in) {
    return new Treatment(
        in.partIfAny(
                "levels",
                l -> new Levels(l.whole("black", 0), l.whole("white", 255), l.number("gamma", 1)))
            .orElse(Levels.NONE),
        in.whole("brightness", 0),
        in.whole("contrast", 0),
        in.whole("saturation", 0),
        in.partIfAny(
                "toning",
                t ->
                    new Toning(
                        t.choice("kind", Toning.Kind.class), t.colour("dark"), t.colour("light")))
            .orElse(Toning.NONE),
        in.partIfAny(
                "shade",
                s ->
                    new Shade(
                        s.choice("side", Shade.Side.class),
                        s.whole("amount", 0),
                        s.whole("reach", Shade.NONE.reach())))
            .orElse(Shade.NONE));
  }
}
