package app.reglet.web.bench;

import app.reglet.press.compose.CaretLine;
import app.reglet.press.compose.Composer;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.titles.Cover;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The lines of words that are typed on the sheet, as the browser draws a caret by them. */
@Component
class CaretView {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final double THOUSANDTH = 1000;
  private static final double FINE = 1_000_000;

  private final Composer composer;
  private final PlacedFiles files;

  CaretView(Composer composer, PlacedFiles files) {
    this.composer = composer;
    this.files = files;
  }

  /**
   * As JSON: of each line {@code m} the matrix, {@code u} and {@code d} up and down from the
   * baseline, {@code i} the places in what is written (the first alone where they follow each
   * other), {@code x} where they are; mm.
   */
  String json(Cover cover, String piece) {
    return cover
        .wrap()
        .map(
            w ->
                composer.carets(
                    cover.design(),
                    w,
                    cover.book().showing(cover.design().pictures()),
                    files,
                    piece))
        .map(lines -> JSON.writeValueAsString(lines.stream().map(CaretView::line).toList()))
        .orElse("[]");
  }

  private static Map<String, Object> line(CaretLine l) {
    Map<String, Object> all = new LinkedHashMap<>();
    all.put("m", figures(l.place(), FINE));
    all.put("u", rounded(l.up(), THOUSANDTH));
    all.put("d", rounded(l.down(), THOUSANDTH));
    boolean follow = true;
    for (int i = 1; i < l.at().length; i++) {
      follow &= l.at()[i] == l.at()[0] + i;
    }
    all.put("i", follow && l.at().length > 0 ? l.at()[0] : l.at());
    all.put("x", figures(l.x(), THOUSANDTH));
    return all;
  }

  private static List<Number> figures(double[] values, double by) {
    List<Number> all = new ArrayList<>();
    for (double v : values) {
      all.add(rounded(v, by));
    }
    return all;
  }

  private static Number rounded(double v, double by) {
    double r = Math.round(v * by) / by;
    return r == Math.rint(r) ? (Number) (long) r : (Number) r;
  }
}
