package app.reglet.press.compose;

import app.reglet.core.design.Colour;
import java.util.stream.DoubleStream;

/** How many inks print a colour. */
final class Inks {
  private Inks() {}

  /** None for white; a neutral colour of the screen is taken as black alone. */
  static int of(Colour.Solid colour) {
    return colour.accept(
        new Colour.Visitor<>() {
          @Override
          public Integer rgb(Colour.Rgb c) {
            int r = c.rgb() >> 16;
            int g = c.rgb() >> 8 & 0xff;
            int b = c.rgb() & 0xff;
            return r == g && g == b ? (r == 0xff ? 0 : 1) : 3;
          }

          @Override
          public Integer cmyk(Colour.Cmyk c) {
            return (int)
                DoubleStream.of(c.cyan(), c.magenta(), c.yellow(), c.black())
                    .filter(v -> v > 0)
                    .count();
          }

          @Override
          public Integer gray(Colour.Gray c) {
            return c.black() == 0 ? 0 : 1;
          }
        });
  }
}
