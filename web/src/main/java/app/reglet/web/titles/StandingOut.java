package app.reglet.web.titles;

import app.reglet.core.check.EdgeSeen;
import app.reglet.core.check.Finding;
import app.reglet.core.check.NearMisses;
import app.reglet.core.check.OfDrawing;
import app.reglet.core.check.PiecesSeen;
import app.reglet.core.check.Seen;
import app.reglet.core.check.WordsStandOut;
import app.reglet.press.art.Artwork;
import app.reglet.press.raster.ContrastMeter;
import app.reglet.press.raster.EbookCover;
import app.reglet.web.jobs.Drawing;
import app.reglet.web.pictures.PictureStore;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * How the words of covers stand out from what lies behind them, and what of a cover is nearly in
 * line. The cover is drawn for it, so it is asked for where somebody rests or is about to hand the
 * cover over, not at every change; and nobody is told of a near miss on the way.
 */
@Component
public class StandingOut {
  private static final int PPI = 100;
  private static final int MOST_KEPT = 60;

  private final Latest<List<Seen>> kept = new Latest<>(MOST_KEPT);
  private final Latest<Double> edges = new Latest<>(MOST_KEPT);
  private final PictureStore pictures;

  private final Letting letting;

  private final EditionFindings facts;

  private final Drawing drawing;

  StandingOut(PictureStore pictures, Letting letting, EditionFindings facts, Drawing drawing) {
    this.drawing = drawing;
    this.facts = facts;
    this.letting = letting;
    this.pictures = pictures;
  }

  /** What was measured of the words of a cover as it is in force. */
  public List<Seen> of(Cover cover) {
    return cover.art().map(art -> of(cover, art)).orElse(List.of());
  }

  private List<Seen> of(Cover cover, Artwork art) {
    return kept.computeIfAbsent(
        Fronts.key(cover.edition()) + cover.side().id(),
        k -> drawing.now(() -> ContrastMeter.measure(art, PPI, pictures::shown)));
  }

  private double pale(Cover cover, Artwork art) {
    return edges.computeIfAbsent(
        Fronts.key(cover.edition()),
        k -> drawing.now(() -> EbookCover.paleEdge(art, pictures::shown)));
  }

  /**
   * The cover with what is found of its design alone besides, in force or not: edges, borders,
   * pieces that nobody sees.
   */
  public Cover looked(Cover cover) {
    List<Finding> findings = new ArrayList<>(cover.findings());
    findings.addAll(PiecesSeen.find(cover.composition(), cover.sheet()));
    findings.addAll(PiecesSeen.locked(cover.composition(), findings));
    return letting.of(
        cover.with(
            Finding.at(cover.house().files().findings(), findings), cover.beyond(), cover.letBe()));
  }

  /** The cover with what is found of it besides. */
  public Cover with(Cover cover) {
    Optional<Artwork> art = cover.art();
    if (art.isEmpty()) {
      return cover;
    }
    Cover looked = looked(cover);
    List<Finding> findings = new ArrayList<>(looked.findings());
    findings.addAll(WordsStandOut.find(art.get().laid(), of(cover, art.get())));
    if (cover.edition().getBinding().isInPixels()) {
      findings.addAll(EdgeSeen.find(pale(cover, art.get()), cover.sheet()));
    }
    findings.addAll(NearMisses.find(cover.composition(), cover.sheet()));
    findings.addAll(facts.of(cover));
    // anew: more is found by now
    findings.removeIf(f -> f.found() instanceof OfDrawing.PieceLocked);
    findings.addAll(PiecesSeen.locked(cover.composition(), findings));
    return letting.of(
        cover.with(
            Finding.at(cover.house().files().findings(), findings),
            looked.beyond(),
            looked.letBe()));
  }
}
