package app.reglet.web.bench;

import app.reglet.core.design.Ground;
import app.reglet.core.design.Paint;
import app.reglet.core.measure.Box;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.compose.Pictures;
import app.reglet.web.titles.Cover;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * The ground of the whole sheet or of a part, as the title block shows it.
 *
 * @param part id of the part, empty for the whole sheet
 * @param own whether the part has a ground of its own
 * @param ground what is shown: that of the part, else that of the whole
 * @param colour as text; empty when it is no one colour
 * @param onScreen about how that looks, {@code #rrggbb}
 * @param picture its picture, null for none
 * @param parts that can have one, the whole sheet first
 */
public record GroundView(
    String part,
    boolean own,
    Ground ground,
    String colour,
    String onScreen,
    FillView fill,
    MotifView pattern,
    PictureView picture,
    List<Choice> parts) {
  /** Begins the name of what is in the hand when it is the ground of a part. */
  static final String PREFIX = "ground:";

  /** A part, and whether it has a ground of its own. */
  public record Choice(String id, String name) {}

  /** The view of the ground in the hand: {@code ground:front}, else of the whole sheet. */
  static GroundView of(String chosen, Cover cover, Pictures drawings) {
    Optional<PanelKind> part = part(chosen, cover);
    var side = cover.composition();
    Ground ground = side.ground(part).orElse(side.ground());
    boolean flat = ground.paint() instanceof Paint.Flat;
    return new GroundView(
        part.map(PanelKind::id).orElse(""),
        part.isPresent() && side.parts().containsKey(part.get()),
        ground,
        flat ? ((Paint.Flat) ground.paint()).colour().text() : "",
        flat ? cover.design().solid(((Paint.Flat) ground.paint()).colour()).hex() : "#ffffff",
        FillView.of(ground.paint(), cover.design()),
        ground
            .pattern()
            .map(p -> MotifView.of(p, cover.design(), cover.unit(), drawings))
            .orElse(null),
        PictureView.of(
            ground.picture().orElse(null),
            cover.wrap().map(w -> covered(w, ground, part)).orElse(null),
            cover.design(),
            cover.unit(),
            drawings),
        cover.wrap().map(w -> parts(w, cover)).orElse(List.of()));
  }

  /** What its picture covers, but for hinges that go with a part. */
  private static Box covered(Wrap wrap, Ground ground, Optional<PanelKind> part) {
    return part.flatMap(wrap::panel)
        .map(Panel::art)
        .or(() -> wrap.box(ground.region()))
        .orElse(wrap.sheetBox());
  }

  private static List<Choice> parts(Wrap wrap, Cover cover) {
    List<Choice> parts = new ArrayList<>();
    parts.add(new Choice("", "whole sheet"));
    for (Panel p : wrap.panels()) {
      if (!p.kind().isHinge()) {
        String own = cover.composition().parts().containsKey(p.kind()) ? ", its own" : "";
        parts.add(new Choice(p.kind().id(), p.kind().title().toLowerCase(Locale.ROOT) + own));
      }
    }
    return parts.size() > 2 ? parts : List.of();
  }

  /** The part whose ground is in the hand, empty for the whole or when there is none such. */
  static Optional<PanelKind> part(String chosen, Cover cover) {
    if (!chosen.startsWith(PREFIX) || cover.wrap().isEmpty()) {
      return Optional.empty();
    }
    return cover.sheet().panels().stream()
        .map(Panel::kind)
        .filter(k -> !k.isHinge() && k.id().equals(chosen.substring(PREFIX.length())))
        .findFirst();
  }

  /** Whether it can be changed here: the whole's, or a part's own. */
  public boolean changes() {
    return part.isEmpty() || own;
  }

  /** What the hand holds when this is shown. */
  String chosen() {
    return part.isEmpty() ? "" : PREFIX + part;
  }
}
