package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Content;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.press.art.Rect;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.proof.Proofs;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Colours to choose from: those of the cover, of a picture, that go together, of a shelf. */
@Controller
class PaletteController {
  /** How much of the sheet is looked at for the colour of a point, mm. */
  private static final double POINT = 0.6;

  private static final int POINT_PIXELS = 5;
  private static final double MOST_MM = 5000;

  private final Covers covers;
  private final Benching benching;
  private final PictureStore pictures;
  private final Proofs proofs;

  PaletteController(Covers covers, Benching benching, PictureStore pictures, Proofs proofs) {
    this.proofs = proofs;
    this.pictures = pictures;
    this.covers = covers;
    this.benching = benching;
  }

  @GetMapping("/editions/{id}/bench/palette")
  String palette(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String base,
      @RequestParam(defaultValue = "") String chosen,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer,
      Model model) {
    Cover cover = benching.of(covers.edition(id), Benching.side(side), viewer);
    model.addAttribute("palette", PaletteView.of(cover, base, picture(cover, chosen)));
    model.addAttribute("beyond", beyond(cover));
    return "palette :: offers";
  }

  /** Colours that the house's press can't print as they are; none for a shop or unknown inks. */
  private List<Beyond> beyond(Cover cover) {
    if (cover.edition().getBinding().isInPixels()) {
      return List.of();
    }
    try {
      return Beyond.of(cover, proofs.inks(cover));
    } catch (Refusal noProfile) {
      return List.of();
    }
  }

  /**
   * The colour that is seen at a point of the sheet, as {@code #rrggbb}.
   *
   * @param x mm from the sheet's left
   * @param y mm from its top
   */
  @GetMapping(path = "/editions/{id}/bench/palette/at", produces = "text/plain")
  @ResponseBody
  String at(
      @PathVariable Long id,
      @RequestParam double x,
      @RequestParam double y,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer) {
    Cover cover = benching.of(covers.edition(id), Benching.side(side), viewer);
    if (!cover.sheet().sheetBox().contains(Box.between(mm(x), mm(y), mm(x), mm(y)))) {
      throw new Refusal("That point lies off the sheet: press on it.");
    }
    Rect point = new Rect(x - POINT / 2, y - POINT / 2, POINT, POINT);
    int rgb =
        ArtworkRaster.render(cover.art().orElseThrow(), point, POINT_PIXELS, pictures::shown)
                .getRGB(POINT_PIXELS / 2, POINT_PIXELS / 2)
            & 0xffffff;
    return new Colour.Rgb(rgb).hex();
  }

  private static Length mm(double mm) {
    return Double.isFinite(mm) && Math.abs(mm) < MOST_MM ? Length.nearMm(mm) : Length.mm("-1");
  }

  private static String picture(Cover cover, String chosen) {
    Optional<Content.Picture> inHand =
        cover
            .design()
            .piece(chosen)
            .map(Piece::content)
            .filter(Content.Picture.class::isInstance)
            .map(Content.Picture.class::cast);
    return inHand
        .or(() -> cover.composition().grounds().flatMap(PaletteController::of).findFirst())
        .or(
            () ->
                cover
                    .composition()
                    .all()
                    .map(Piece::content)
                    .filter(Content.Picture.class::isInstance)
                    .map(Content.Picture.class::cast)
                    .findFirst())
        .map(Content.Picture::sha)
        .orElse("");
  }

  private static java.util.stream.Stream<Content.Picture> of(Ground ground) {
    return ground.picture().stream();
  }
}
