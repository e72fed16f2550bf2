package app.reglet.core.carry;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Words;
import app.reglet.core.wrap.PanelKind;
import java.util.List;

/**
 * Spine words that ran as their house has them run as the other house has them; what ran otherwise
 * was meant, and stays.
 */
record SpineWay(Sheets sheets) {
  /**
   * The same piece as spines there are read.
   *
   * @param home the panel it lies on, null for several
   */
  Piece of(Piece piece, PanelKind home) {
    Setting.Direction was = Setting.Direction.onSpines(sheets.from().rules());
    Setting.Direction is = Setting.Direction.onSpines(sheets.to().rules());
    return home != PanelKind.SPINE || was == is || sheets.onScreen()
        ? piece
        : turned(piece, was, is);
  }

  private static Piece turned(Piece piece, Setting.Direction was, Setting.Direction is) {
    if (piece.content() instanceof Content.Group g && g.row() == null) {
      List<Piece> parts = g.pieces().stream().map(p -> turned(p, was, is)).toList();
      return piece.withContent(new Content.Group(g.natural(), parts));
    }
    return piece.content() instanceof Words w && w.setting().direction() == was
        ? piece.withContent(w.withSetting(w.setting().turnedRound(is)))
        : piece;
  }
}
