package app.reglet.web.bench;

import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Tiling;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.press.compose.Pictures;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.ornament.Ornaments;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * An ornament or a pattern, as its leaf of the title block shows it.
 *
 * @param ornament its id, empty for a picture
 * @param name in words
 * @param inks its colours
 * @param width of a motif that repeats, empty when it doesn't
 */
public record MotifView(
    String ornament,
    String name,
    List<FillView.Stop> inks,
    String width,
    String across,
    String down,
    String stagger,
    String angle) {
  /** The ornaments there are, by family. */
  public static final Map<String, List<Ornament>> FAMILIES =
      Ornaments.shipped().all().stream()
          .collect(
              Collectors.groupingBy(
                  Ornament::family, java.util.LinkedHashMap::new, Collectors.toList()));

  static MotifView of(Content.Ornament o, Design design, Pictures drawings) {
    return drawn(o.drawn(), design, drawings);
  }

  private static MotifView drawn(Motif.Drawn d, Design design, Pictures drawings) {
    Optional<Ornament> ornament =
        Ornaments.shipped().find(d.ornament()).or(() -> drawings.drawing(d.ornament()));
    List<FillView.Stop> inks = new ArrayList<>();
    for (int i = 0; i < ornament.map(Ornament::colours).orElse(1); i++) {
      Colour ink = d.ink(i);
      inks.add(new FillView.Stop("", ink.text(), design.solid(ink).hex()));
    }
    return new MotifView(
        d.ornament(), ornament.map(Ornament::name).orElse("not here"), inks, "", "", "", "", "");
  }

  static MotifView of(Content.Pattern p, Design design, Unit unit, Pictures drawings) {
    MotifView motif =
        p.motif()
            .accept(
                new Motif.Visitor<>() {
                  @Override
                  public MotifView drawn(Motif.Drawn d) {
                    return MotifView.drawn(d, design, drawings);
                  }

                  @Override
                  public MotifView pictured(Motif.Pictured d) {
                    return new MotifView("", "a picture", List.of(), "", "", "", "", "");
                  }
                });
    Tiling t = p.tiling();
    return new MotifView(
        motif.ornament,
        motif.name,
        motif.inks,
        figure(t.width(), unit),
        figure(t.across(), unit),
        figure(t.down(), unit),
        t.stagger().name(),
        TitleBlock.plain(t.angle(), 3));
  }

  private static String figure(Length l, Unit unit) {
    return l.figure(unit, unit.decimals());
  }

  /** Whether it repeats. */
  public boolean repeats() {
    return !width.isEmpty();
  }
}
