package app.reglet.core.layout;

import app.reglet.core.design.Anchors;
import app.reglet.core.design.Centred;
import app.reglet.core.design.Line;
import app.reglet.core.design.Span;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.math.BigDecimal;

/**
 * Where things lie on a wrap. Shares are of the front's safe box, across from its left and down
 * from its top.
 */
class Places {
  /** Type on a front that is wider than this part of its height goes by its width. */
  private static final double TALL = 1.8;

  final Wrap wrap;
  private final Box front;

  Places(Wrap wrap) {
    this.wrap = wrap;
    this.front = wrap.panel(PanelKind.FRONT).orElseThrow().safe();
  }

  /** A share of the front's safe width. */
  Length w(double share) {
    return part(front.width(), share);
  }

  /** A share of the front's safe height. */
  Length h(double share) {
    return part(front.height(), share);
  }

  /** A share of the front's safe height, for type: landscape and square fronts are wide. */
  Length size(double share) {
    return part(front.height().min(part(front.width(), TALL)), share);
  }

  private static Length part(Length whole, double share) {
    return toTenth(
        new Length(
            BigDecimal.valueOf(whole.quanta()).multiply(BigDecimal.valueOf(share)).longValue()));
  }

  /** To a tenth of a point: figures a person would type. */
  static Length toTenth(Length l) {
    return Length.of(l.in(Unit.PT, 1), Unit.PT);
  }

  /** On the front, from the top. */
  Anchors front(double left, double top, double right, double height) {
    return new Anchors(
        across(Region.safe(PanelKind.FRONT), w(left), w(right)), down(h(top), h(height)));
  }

  /** On the front, from the bottom. */
  Anchors foot(double left, double rise, double right, double height) {
    return new Anchors(
        across(Region.safe(PanelKind.FRONT), w(left), w(right)), up(h(rise), h(height)));
  }

  static Span across(Region region, Length left, Length right) {
    return Anchors.stretched(region, left, Length.ZERO, right, Length.ZERO).across();
  }

  static Span down(Length top, Length height) {
    return Anchors.fromTop(Region.safe(PanelKind.FRONT), top, height).down();
  }

  static Span up(Length rise, Length height) {
    return Anchors.fromBottom(Region.safe(PanelKind.FRONT), rise, height).down();
  }

  /** In the middle of the trimmed front, so far in from the nearer edge of the safe zone. */
  Span middle(double air) {
    return Centred.across(wrap.panel(PanelKind.FRONT).orElseThrow(), w(air));
  }

  /** In the middle of the trimmed front, so wide. */
  Span wide(Length width) {
    return new Span.Hung(
        new Line(Region.trim(PanelKind.FRONT), Line.Edge.CENTRE),
        Span.Part.MIDDLE,
        Length.ZERO,
        width);
  }

  /** From edge to edge of the whole sheet. */
  static Span sheet() {
    return Anchors.filling(Region.SHEET).across();
  }

  /** From edge to edge of the front, bleed and all. */
  static Span bled() {
    return Anchors.filling(new Region(Region.Bounds.BLEED, PanelKind.FRONT)).across();
  }

  /** From the sheet's top edge to so far down the front. */
  Span toTop(double end) {
    return new Span.Stretched(
        new Line(Region.SHEET, Line.Edge.TOP),
        Length.ZERO,
        new Line(Region.safe(PanelKind.FRONT), Line.Edge.TOP),
        h(end));
  }

  /** From so far down the front to the sheet's bottom edge. */
  Span toBottom(double start) {
    return new Span.Stretched(
        new Line(Region.safe(PanelKind.FRONT), Line.Edge.TOP),
        h(start),
        new Line(Region.SHEET, Line.Edge.BOTTOM),
        Length.ZERO);
  }
}
