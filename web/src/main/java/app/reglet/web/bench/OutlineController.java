package app.reglet.web.bench;

import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.CutOut;
import app.reglet.core.wrap.PanelKind;
import app.reglet.press.picture.Contours;
import app.reglet.press.svg.SvgPath;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Covers;
import java.awt.geom.AffineTransform;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The outline of the cut-out of a picture, for whoever paints it. */
@Controller
class OutlineController {
  /** Of the square in which the outline is told. */
  static final double SIDE = 1000;

  private final Covers covers;
  private final Benching benching;

  OutlineController(Covers covers, Benching benching) {
    this.covers = covers;
    this.benching = benching;
  }

  /** Path data in a square of {@link #SIDE}, in which the picture lies from edge to edge. */
  @GetMapping(path = "/editions/{id}/bench/outline", produces = "text/plain")
  @ResponseBody
  String outline(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "outside") String side,
      Viewer viewer) {
    Composition on = benching.of(covers.edition(id), Benching.side(side), viewer).composition();
    return on.piece(piece)
        .map(p -> p.content() instanceof Content.Picture q ? q : null)
        .or(() -> ofGround(on, part))
        .flatMap(Content.Picture::cutOut)
        .map(OutlineController::path)
        .orElse("");
  }

  private static Optional<Content.Picture> ofGround(Composition on, String part) {
    Optional<PanelKind> kind =
        Arrays.stream(PanelKind.values()).filter(k -> k.id().equals(part)).findFirst();
    return on.ground(kind).or(() -> Optional.of(on.ground())).flatMap(g -> g.picture());
  }

  static String path(CutOut cutOut) {
    return SvgPath.of(
        AffineTransform.getScaleInstance(SIDE, SIDE)
            .createTransformedShape(Contours.path(cutOut.contours())));
  }
}
