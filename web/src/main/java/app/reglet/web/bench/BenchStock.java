package app.reglet.web.bench;

import app.reglet.core.design.Colour;
import app.reglet.core.design.CutOut;
import app.reglet.core.design.Treatment.Levels;
import app.reglet.core.edit.CutMarks;
import app.reglet.core.edit.Stock;
import app.reglet.core.layout.Dress;
import app.reglet.press.ornament.Ornaments;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.Subject;
import app.reglet.press.type.Typefaces;
import app.reglet.web.pictures.PlacedFiles;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What there is to choose from on the bench: what ships with Reglet and what people brought. */
@Component
class BenchStock implements Stock {
  private final Typefaces typefaces;
  private final PlacedFiles placed;

  BenchStock(Typefaces typefaces, PlacedFiles placed) {
    this.typefaces = typefaces;
    this.placed = placed;
  }

  @Override
  public boolean hasFace(String id) {
    return typefaces.has(id);
  }

  @Override
  public Optional<Stock.Ornament> ornament(String id) {
    return Ornaments.shipped()
        .find(id)
        .or(() -> placed.drawing(id))
        .map(o -> new Stock.Ornament(o.name(), o.width(), o.height()));
  }

  @Override
  public int pages(String sha) {
    return placed.pages(sha);
  }

  @Override
  public List<Colour.Rgb> colours(String sha) {
    return placed.colours(sha);
  }

  @Override
  public boolean hasPicture(String sha) {
    return placed.find(sha).isPresent();
  }

  @Override
  public double proportion(String sha) {
    return placed.find(sha).map(p -> (double) p.width() / p.height()).orElse(1.0);
  }

  @Override
  public Levels levels(String sha) {
    return placed.tones(sha).automatic();
  }

  @Override
  public List<CutOut.Contour> proposed(String sha, CutMarks marks) {
    return Subject.proposed(placed.upright(sha), marks);
  }

  @Override
  public List<CutOut.Contour> painted(String sha, List<CutOut.Contour> before, CutMarks marks) {
    Picture p = placed.find(sha).orElseThrow();
    return Subject.painted(p.width(), p.height(), before, marks);
  }

  @Override
  public Optional<Dress.Shown> shown(String sha) {
    return placed
        .find(sha)
        .map(p -> new Dress.Shown(sha, p.mean(), PictureReader.mayBeTransparent(p)));
  }
}
