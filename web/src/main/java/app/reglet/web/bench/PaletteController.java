package app.reglet.web.bench;

import app.reglet.core.design.Content;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Colours to choose from: those of the cover, of a picture, that go together, of a shelf. */
@Controller
class PaletteController {
  private final Covers covers;
  private final Benching benching;

  PaletteController(Covers covers, Benching benching) {
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
    return "palette :: offers";
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
