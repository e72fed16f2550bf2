package app.reglet.web.bench;

import app.reglet.core.book.Asset;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureColours;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A picture of a title as its list shows it.
 *
 * @param about pixels, colours and profile in words; empty when its file is not here
 * @param here whether its file is
 * @param used where, in words; empty for nowhere
 */
public record AssetView(Asset asset, String about, boolean here, String used) {
  static AssetView of(Asset asset, Optional<Picture> file, String used) {
    return new AssetView(
        asset, file.map(AssetView::about).orElse("its file is not here"), file.isPresent(), used);
  }

  private static String about(Picture p) {
    return String.format(
        Locale.ROOT,
        "%d × %d px, %s, %s",
        p.width(),
        p.height(),
        p.format(),
        PictureColours.of(p).said());
  }

  /** The places of a design where a picture stands. */
  static List<String> places(Design design, String sha) {
    List<String> all = new ArrayList<>();
    for (PrintedSide side : PrintedSide.values()) {
      boolean ground = design.side(side).grounds().anyMatch(g -> isOn(g, sha));
      if (ground) {
        all.add(side == PrintedSide.OUTSIDE ? "ground" : "ground of the inside");
      }
      design
          .side(side)
          .all()
          .filter(p -> isOn(p.content(), sha))
          .map(Piece::name)
          .forEach(all::add);
    }
    return all;
  }

  private static boolean isOn(Ground g, String sha) {
    return g.picture().filter(p -> p.sha().equals(sha)).isPresent()
        || g.pattern().filter(p -> isOf(p.motif(), sha)).isPresent();
  }

  private static boolean isOn(Content content, String sha) {
    return content instanceof Content.Picture p && p.sha().equals(sha)
        || content instanceof Content.Pattern t && isOf(t.motif(), sha)
        || content instanceof Words w && w.through() != null && w.through().sha().equals(sha);
  }

  private static boolean isOf(Motif motif, String sha) {
    return motif instanceof Motif.Pictured p && p.sha().equals(sha);
  }
}
