package app.reglet.press.pdf;

import app.reglet.core.design.Colour;
import app.reglet.press.art.Fill;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBoolean;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType2;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType3;

/**
 * Gradients as shadings (ISO 32000-1, 8.7.4.5.3 axial, 8.7.4.5.4 radial): exponential functions of
 * exponent 1 stitched together (7.10.3, 7.10.4). In the space of their colours where they all have
 * one, else as they look on a screen.
 */
final class Shadings {
  private Shadings() {}

  static PDShading of(Fill.Linear f) {
    PDShadingType2 shading = new PDShadingType2(dictionary(f.stops(), 2));
    shading.setCoords(Operators.numbers(f.x1(), f.y1(), f.x2(), f.y2()));
    return shading;
  }

  static PDShading of(Fill.Radial f) {
    PDShadingType3 shading = new PDShadingType3(dictionary(f.stops(), 3));
    shading.setCoords(Operators.numbers(f.x(), f.y(), 0, f.x(), f.y(), f.radius()));
    return shading;
  }

  private static COSDictionary dictionary(List<Fill.Stop> stops, int type) {
    COSDictionary shading = new COSDictionary();
    shading.setInt(COSName.SHADING_TYPE, type);
    shading.setItem(COSName.COLORSPACE, space(stops));
    shading.setItem(COSName.FUNCTION, function(stops));
    COSArray extend = new COSArray();
    extend.add(COSBoolean.TRUE);
    extend.add(COSBoolean.TRUE);
    shading.setItem(COSName.EXTEND, extend);
    return shading;
  }

  private static COSName space(List<Fill.Stop> stops) {
    return switch (channels(stops)) {
      case 4 -> COSName.DEVICECMYK;
      case 1 -> COSName.DEVICEGRAY;
      default -> COSName.DEVICERGB;
    };
  }

  private static int channels(List<Fill.Stop> stops) {
    if (stops.stream().allMatch(s -> s.colour() instanceof Colour.Cmyk)) {
      return 4;
    }
    return stops.stream().allMatch(s -> s.colour() instanceof Colour.Gray) ? 1 : 3;
  }

  private static COSDictionary function(List<Fill.Stop> stops) {
    List<Fill.Stop> whole = new ArrayList<>(stops);
    if (stops.get(0).at() > 0) {
      whole.add(0, new Fill.Stop(0, stops.get(0).colour()));
    }
    Fill.Stop last = stops.get(stops.size() - 1);
    if (last.at() < 1) {
      whole.add(new Fill.Stop(1, last.colour()));
    }
    int channels = channels(stops);
    COSArray functions = new COSArray();
    COSArray bounds = new COSArray();
    COSArray encode = new COSArray();
    for (int i = 0; i + 1 < whole.size(); i++) {
      functions.add(between(whole.get(i), whole.get(i + 1), channels));
      encode.add(Operators.number(0));
      encode.add(Operators.number(1));
      if (i > 0) {
        bounds.add(Operators.number(whole.get(i).at()));
      }
    }
    COSDictionary stitched = new COSDictionary();
    stitched.setInt(COSName.FUNCTION_TYPE, 3);
    stitched.setItem(COSName.DOMAIN, Operators.numbers(0, 1));
    stitched.setItem(COSName.FUNCTIONS, functions);
    stitched.setItem(COSName.BOUNDS, bounds);
    stitched.setItem(COSName.ENCODE, encode);
    return stitched;
  }

  private static COSDictionary between(Fill.Stop from, Fill.Stop to, int channels) {
    COSDictionary f = new COSDictionary();
    f.setInt(COSName.FUNCTION_TYPE, 2);
    f.setItem(COSName.DOMAIN, Operators.numbers(0, 1));
    f.setItem(COSName.C0, Operators.numbers(components(from.colour(), channels)));
    f.setItem(COSName.C1, Operators.numbers(components(to.colour(), channels)));
    f.setInt(COSName.N, 1);
    return f;
  }

  /** The shares of a colour in a space of so many channels. */
  private static double[] components(Colour.Solid colour, int channels) {
    if (channels == 4) {
      Colour.Cmyk c = (Colour.Cmyk) colour;
      return new double[] {c.cyan() / 100, c.magenta() / 100, c.yellow() / 100, c.black() / 100};
    }
    if (channels == 1) {
      return new double[] {1 - ((Colour.Gray) colour).black() / 100};
    }
    Colour.Rgb rgb = new Colour.Rgb(colour.onScreen());
    return new double[] {rgb.red(), rgb.green(), rgb.blue()};
  }
}
