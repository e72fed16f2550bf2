package app.reglet.web.bench;

import app.reglet.core.check.Finding;
import app.reglet.core.check.Laid;
import app.reglet.core.design.DesignLimits;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Zone;
import app.reglet.press.art.Artwork;
import app.reglet.web.titles.Cover;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the browser knows of a cover, in mm: it draws and drags by this, and reads nothing off the
 * drawing.
 *
 * @param base the revision it shows
 * @param unit in which figures are shown
 * @param sheet width and height
 * @param panels with what is measured from
 * @param pieces from back to front, those in groups too
 * @param lines to snap to
 * @param zones areas with a meaning, for what is laid over the art
 * @param notes places of findings, in their order
 * @param least smallest side of a piece
 */
record BenchModel(
    int base,
    Shown unit,
    double[] sheet,
    List<Part> panels,
    List<Held> pieces,
    SnapLines lines,
    List<Area> zones,
    List<Note> notes,
    double least) {
  private static final JsonMapper JSON = new JsonMapper();

  /** A unit: its symbol, how many mm it is, and the decimals its figures have. */
  record Shown(String symbol, double mm, int decimals) {}

  /** A panel, or with an empty id the whole cover: its name and its trimmed box. */
  record Part(String id, String name, double[] box) {}

  /**
   * A piece to take hold of.
   *
   * @param on id of the panel it hangs on, empty for the whole cover
   * @param group id of the group it is in, empty for none
   * @param box x, y, width and height before it is turned
   * @param corners x and y of its four corners on the sheet
   * @param lacks why nothing is drawn in its place, empty where something is
   */
  record Held(
      String id,
      String name,
      String on,
      String group,
      double[] box,
      double[] corners,
      double angle,
      boolean locked,
      String lacks) {}

  /** An area of a kind: safe, barcode, hinge, glue. */
  record Area(String kind, double[] box) {}

  /** Where a finding is: x, y, width and height; null when it is nowhere on the sheet. */
  record Note(boolean mend, double[] box, String piece) {}

  static BenchModel of(Cover cover) {
    Wrap wrap = cover.sheet();
    Unit unit = cover.unit();
    Artwork art = cover.art().orElseThrow();
    Set<String> unbarred = unbarred(art);
    List<Area> zones = new ArrayList<>();
    for (Zone z : wrap.zones()) {
      zones.add(new Area(z.kind().name().toLowerCase(Locale.ROOT), box(z.box())));
    }
    List<Part> panels = new ArrayList<>();
    for (Panel p : wrap.panels()) {
      if (!p.kind().isHinge()) {
        panels.add(
            new Part(p.kind().id(), p.kind().title().toLowerCase(Locale.ROOT), box(p.trim())));
      }
    }
    panels.add(new Part("", "trimmed cover", box(wrap.trimmed())));
    return new BenchModel(
        cover.edition().getRevision(),
        new Shown(unit.symbol(), mm(unit), Math.min(3, unit.decimals())),
        new double[] {wrap.sheet().width().toMm(), wrap.sheet().height().toMm()},
        panels,
        art.placed().stream().map(p -> held(p, cover, unbarred)).toList(),
        SnapLines.of(wrap),
        zones,
        cover.findings().stream().map(BenchModel::note).toList(),
        DesignLimits.LEAST_PIECE.toMm());
  }

  private static Set<String> unbarred(Artwork art) {
    return art.laid().stream()
        .filter(Laid.Unbarred.class::isInstance)
        .map(Laid::piece)
        .collect(Collectors.toSet());
  }

  private static double mm(Unit unit) {
    return app.reglet.core.measure.Length.of(1, unit).toMm();
  }

  private static Held held(Artwork.Placed p, Cover cover, Set<String> unbarred) {
    String on =
        cover
            .design()
            .piece(p.piece())
            .map(Piece::anchors)
            .map(a -> a.across().region().panel())
            .map(k -> k.id())
            .orElse("");
    return new Held(
        p.piece(),
        p.name(),
        on,
        p.group(),
        box(p.box()),
        rounded(p.corners()),
        p.angle(),
        p.locked(),
        unbarred.contains(p.piece()) ? "No bars: no sound ISBN" : "");
  }

  private static Note note(Finding f) {
    return new Note(
        f.mustMend(), f.place().map(BenchModel::box).orElse(null), f.piece().orElse(""));
  }

  private static double[] box(Box b) {
    return rounded(b.left().toMm(), b.top().toMm(), b.width().toMm(), b.height().toMm());
  }

  /** As JSON that may stand in a page. */
  String json() {
    return inPage(this);
  }

  /**
   * What of a cover's model is another after a change: on the same sheet all else stays.
   *
   * @param order ids of all pieces from back to front
   * @param pieces those that are another
   */
  private record Change(int base, List<String> order, List<Held> pieces, List<Note> notes) {}

  /**
   * What a change changed, as JSON that may stand in a page.
   *
   * @param parts those that are not the same as before
   */
  static String change(Cover after, List<Artwork.Part> parts) {
    Set<String> unbarred = unbarred(after.art().orElseThrow());
    return inPage(
        new Change(
            after.edition().getRevision(),
            after.art().orElseThrow().placed().stream().map(Artwork.Placed::piece).toList(),
            parts.stream()
                .flatMap(p -> p.placed().stream())
                .map(p -> held(p, after, unbarred))
                .toList(),
            after.findings().stream().map(BenchModel::note).toList()));
  }

  /** The notes of a cover, as JSON. */
  static String notes(Cover cover) {
    return inPage(cover.findings().stream().map(BenchModel::note).toList());
  }

  private static String inPage(Object value) {
    return JSON.writeValueAsString(value).replace("<", "\\u003c");
  }

  /** To a nanometre: what comes after is the rounding of a double. */
  private static double[] rounded(double... mm) {
    double[] out = new double[mm.length];
    for (int i = 0; i < mm.length; i++) {
      out[i] = Math.rint(mm[i] * 1e6) / 1e6;
    }
    return out;
  }
}
