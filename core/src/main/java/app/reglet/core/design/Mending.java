package app.reglet.core.design;

import app.reglet.core.book.Book;
import app.reglet.core.check.PiecesSeen;
import app.reglet.core.check.Remedy;
import app.reglet.core.check.Tolerance;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.function.UnaryOperator;

/** Carries a finding's remedy out on a design. */
public final class Mending implements Remedy.OfDesign.Visitor<Design> {
  /** Between words and the barcode area. */
  private static final Length AIR = Length.mm("1");

  private static final Length LEAST = Length.mm("5");
  private static final int HAIRLINES = 400;
  private static final int HAIRLINE = 0x9aa0a4;
  private static final Length CREDIT = Length.pt("7");
  private static final Length CREDIT_HIGH = Length.mm("6");
  private static final Length LEAST_LINE = Length.mm("30");
  private static final int LIGHT_PANEL = 0xfbf8f1;
  private static final int DARK_PANEL = 0x14191d;
  private static final double PANEL_OPACITY = 0.85;

  /** Luminance that stands out as much from white as from black. */
  private static final double MIDDLE = 0.179;

  private static final String USUAL_FACE = "work-sans";

  private final Design design;
  private final Wrap wrap;

  private Mending(Design design, Wrap wrap) {
    this.design = design;
    this.wrap = wrap;
  }

  /** The mended design; unchanged when its piece is gone. */
  public static Design apply(Remedy.OfDesign remedy, Design design, Wrap wrap) {
    return remedy.accept(new Mending(design, wrap));
  }

  @Override
  public Design intoSafe(Remedy.IntoSafe r) {
    return loose(r.piece(), this::intoSafe);
  }

  @Override
  public Design fitWords(Remedy.FitWords r) {
    return loose(r.piece(), this::intoSafe);
  }

  @Override
  public Design toBleed(Remedy.ToBleed r) {
    return loose(r.piece(), this::toBleed);
  }

  @Override
  public Design clearOfBarcode(Remedy.ClearOfBarcode r) {
    return loose(r.piece(), this::clearOfBarcode);
  }

  @Override
  public Design behindBarcode(Remedy.BehindBarcode r) {
    return behindBarcode(design, design.outside().looseOf(r.piece()));
  }

  @Override
  public Design takeOff(Remedy.TakeOff r) {
    return design.changed(design.sideOf(r.piece()), c -> c.without(List.of(r.piece())));
  }

  @Override
  public Design placeBarcode(Remedy.PlaceBarcode r) {
    return placeBarcode(design);
  }

  @Override
  public Design whitePanel(Remedy.WhitePanel r) {
    return design.changed(
        r.piece(),
        p ->
            p.content() instanceof Content.Barcode b
                ? p.withContent(b.withPanel(Colour.WHITE))
                : p);
  }

  /** As wide as it is still seen when a shop shows the cover small: a 400th of its width. */
  @Override
  public Design hairline(Remedy.Hairline r) {
    Region front = Region.trim(PanelKind.FRONT);
    Length wide =
        wrap.box(front).orElseThrow().width().dividedBy(HAIRLINES).max(Length.of(1, Unit.PX));
    Piece line =
        new Piece(
            design.freeId("hairline"),
            "Hairline",
            Placement.upright(Anchors.filling(front)),
            Appearance.PLAIN,
            new Content.Shape(
                Figure.RECTANGLE,
                null,
                new Stroke(
                    Paint.of(new Colour.Rgb(HAIRLINE)), wide, List.of(), Stroke.Side.INSIDE)),
            true,
            false);
    return design.changed(PrintedSide.OUTSIDE, c -> c.plus(line));
  }

  @Override
  public Design setIn(Remedy.SetIn r) {
    return design.changed(
        r.piece(), p -> p.content() instanceof Words w ? p.withContent(w.in(r.face().id())) : p);
  }

  @Override
  public Design placeCredits(Remedy.PlaceCredits r) {
    return placeCredits(design, wrap);
  }

  @Override
  public Design moveBy(Remedy.MoveBy r) {
    return loose(r.piece(), p -> p.withAnchors(p.anchors().movedBy(r.by(), Length.ZERO)));
  }

  @Override
  public Design recolour(Remedy.Recolour r) {
    return design.changed(
        r.piece(),
        p -> p.content() instanceof Words w ? p.withContent(w.withPaint(Paint.of(r.colour()))) : p);
  }

  /** Light behind dark words, dark behind light ones; one that is there is made denser. */
  @Override
  public Design putPanel(Remedy.PutPanel r) {
    boolean dark = LinearLight.luminance(r.ink()) < MIDDLE;
    Paint paint = Paint.of(new Colour.Rgb(dark ? LIGHT_PANEL : DARK_PANEL));
    return design.changed(
        r.piece(),
        p ->
            p.content() instanceof Words w
                ? p.withContent(
                    w.withPanel(
                        new app.reglet.core.design.Panel(
                            paint,
                            PANEL_OPACITY,
                            Length.ZERO,
                            app.reglet.core.design.Panel.USUAL.across(),
                            app.reglet.core.design.Panel.USUAL.down())))
                : p);
  }

  @Override
  public Design thicken(Remedy.Thicken r) {
    return design.changed(
        r.piece(),
        p ->
            p.content() instanceof Content.Shape s && s.stroke() != null
                ? p.withContent(
                    new Content.Shape(
                        s.figure(),
                        s.fill(),
                        new Stroke(
                            s.stroke().paint(), r.width(), s.stroke().dashes(), s.stroke().side())))
                : p);
  }

  @Override
  public Design carryOver(Remedy.CarryOver r) {
    return loose(r.piece(), p -> carryOver(p, r.by()));
  }

  @Override
  public Design show(Remedy.Show r) {
    return design.changed(r.piece(), p -> p.hidden(false));
  }

  /** What it is in, too: what is in something locked is left alone. */
  @Override
  public Design unlock(Remedy.Unlock r) {
    Design open = design.changed(r.piece(), p -> p.locked(false));
    String loose = design.side(design.sideOf(r.piece())).looseOf(r.piece());
    return open.changed(loose, p -> p.locked(false));
  }

  /**
   * Upright words run the other way, and what stood at the head stands there still; turned ones,
   * and those on a curve, are turned by half.
   */
  @Override
  public Design runOtherWay(Remedy.RunOtherWay r) {
    return design.changed(
        r.piece(),
        p -> {
          if (!(p.content() instanceof Words w)) {
            return p;
          }
          Setting s = w.setting();
          if (w.curve() != null
              || p.placement().angle() != 0
              || s.direction() == Setting.Direction.LEVEL) {
            return p.withPlacement(p.placement().withAngle(p.placement().angle() + 180));
          }
          return p.withContent(
              w.withSetting(
                  s.turnedRound(
                      r.to() == SpineTypeRule.Direction.TOP_TO_BOTTOM
                          ? Setting.Direction.DOWN
                          : Setting.Direction.UP)));
        });
  }

  /** Every side that lies on a fold ends beyond it. */
  private Piece carryOver(Piece piece, Length by) {
    Box box = piece.anchors().on(wrap).orElse(wrap.trimmed());
    boolean left = wrap.folds().stream().anyMatch(f -> PiecesSeen.isOn(box.left(), f));
    boolean right = wrap.folds().stream().anyMatch(f -> PiecesSeen.isOn(box.right(), f));
    Box wider =
        Box.between(
            left ? box.left().minus(by) : box.left(),
            box.top(),
            right ? box.right().plus(by) : box.right(),
            box.bottom());
    return piece.withAnchors(
        Anchors.hung(
            piece.anchors().across().region(),
            piece.anchors().across().hold(),
            piece.anchors().down().hold(),
            wider,
            wrap));
  }

  /** With a small line of the credits owed at the foot of the back, in the type of its words. */
  public static Design placeCredits(Design design, Wrap wrap) {
    PanelKind on = wrap.panel(PanelKind.BACK).isPresent() ? PanelKind.BACK : PanelKind.FRONT;
    Region safe = Region.safe(on);
    List<Piece> words = design.outside().all().filter(p -> p.content() instanceof Words).toList();
    Words like =
        (Words)
            words.stream()
                .filter(p -> p.anchors().across().region().panel() == on)
                .findFirst()
                .or(() -> words.stream().findFirst())
                .map(Piece::content)
                .orElse(null);
    Words line =
        Words.of(
            null,
            "{" + Book.CREDITS + "}",
            like == null ? USUAL_FACE : like.type().face(),
            CREDIT,
            Colour.BLACK);
    Box room = wrap.box(safe).orElseThrow();
    Length left =
        wrap.box(Region.BARCODE)
            .filter(b -> on == PanelKind.BACK)
            .map(b -> b.left().minus(room.left()).minus(AIR))
            .filter(w -> LEAST_LINE.isLessThan(w))
            .orElse(room.width());
    Piece credits =
        new Piece(
            design.freeId("credits"),
            "Picture credits",
            Anchors.hung(
                safe,
                Span.Hold.START,
                Span.Hold.END,
                new Box(room.left(), room.bottom().minus(CREDIT_HIGH), left, CREDIT_HIGH),
                wrap),
            like == null ? line : line.withPaint(like.paint()));
    return design.changed(PrintedSide.OUTSIDE, c -> c.plus(credits));
  }

  /** What is in a group goes with its group, which alone hangs on the wrap. */
  private Design loose(String piece, UnaryOperator<Piece> how) {
    return design.changed(design.side(design.sideOf(piece)).looseOf(piece), how);
  }

  /** With the barcode filling its area, moved there or put in new. */
  public static Design placeBarcode(Design design) {
    Anchors area = Anchors.filling(Region.BARCODE);
    return design
        .outside()
        .all()
        .filter(p -> p.content() instanceof Content.Barcode)
        .findFirst()
        .map(p -> design.changed(p.id(), b -> b.withPlacement(Placement.upright(area))))
        .orElseGet(
            () ->
                design.changed(
                    PrintedSide.OUTSIDE,
                    c ->
                        c.plus(
                            new Piece(
                                design.freeId("barcode"),
                                "Barcode",
                                area,
                                Content.Barcode.usual()))));
  }

  /**
   * The box pushed into a panel's safe zone, cut where it is larger, and the words set to fit. What
   * was centred on the panel, and centred words that must be cut, stay centred on it.
   */
  private Piece intoSafe(Piece piece) {
    Piece fitted =
        piece.content() instanceof Words w
            ? piece.withContent(w.withType(w.type().withFit(Type.Fit.AT_MOST)))
            : piece;
    Box box = piece.anchors().on(wrap).orElse(wrap.trimmed());
    Panel panel = wrap.panelUnder(box).or(() -> wrap.panel(PanelKind.FRONT)).orElseThrow();
    Box safe = panel.safe();
    Length width = box.width().min(safe.width());
    Length height = box.height().min(safe.height());
    Length x = box.left().max(safe.left()).min(safe.right().minus(width));
    Length y = box.top().max(safe.top()).min(safe.bottom().minus(height));
    Anchors inside =
        Anchors.hung(
            Region.safe(panel.kind()),
            piece.anchors().across().hold(),
            piece.anchors().down().hold(),
            new Box(x, y, width, height),
            wrap);
    boolean cut = box.width().isMoreThan(safe.width());
    if (Centred.isCentred(box, panel, Tolerance.OF_PLACE) || cut && isCentred(piece.content())) {
      Span across = Centred.around(panel, box.width(), piece.anchors().across().hold(), wrap);
      return fitted.withAnchors(new Anchors(across, inside.down()));
    }
    return fitted.withAnchors(inside);
  }

  private static boolean isCentred(Content content) {
    return content instanceof Words w
        && w.setting().align() == Setting.Align.CENTRE
        && w.setting().direction() == Setting.Direction.LEVEL;
  }

  /**
   * Up, or sideways, clear of the barcode area: the shortest way that stays in the safe zone; where
   * there is none, the box is cut above the area.
   */
  private Piece clearOfBarcode(Piece piece) {
    Box box = piece.anchors().on(wrap).orElse(wrap.trimmed());
    Box area = wrap.box(Region.BARCODE).orElse(box);
    Panel panel = wrap.panelUnder(area).orElseThrow();
    Box safe = panel.safe();
    Length up = area.top().minus(AIR).minus(box.bottom());
    Length left = area.left().minus(AIR).minus(box.right());
    Length right = area.right().plus(AIR).minus(box.left());
    Box best = null;
    for (Box way :
        List.of(
            box.moved(Length.ZERO, up),
            box.moved(left, Length.ZERO),
            box.moved(right, Length.ZERO))) {
      if (safe.contains(way) && (best == null || way(box, way).isLessThan(way(box, best)))) {
        best = way;
      }
    }
    if (best == null) {
      Length bottom = area.top().minus(AIR);
      Length top = box.top().max(safe.top()).min(bottom.minus(LEAST));
      best = Box.between(box.left(), top, box.right(), bottom);
    }
    Piece fitted =
        piece.content() instanceof Words w
            ? piece.withContent(w.withType(w.type().withFit(Type.Fit.AT_MOST)))
            : piece;
    return fitted.withAnchors(
        Anchors.hung(
            Region.safe(panel.kind()),
            piece.anchors().across().hold(),
            piece.anchors().down().hold(),
            best,
            wrap));
  }

  private static Length way(Box from, Box to) {
    return to.left().minus(from.left()).abs().plus(to.top().minus(from.top()).abs());
  }

  private static Design behindBarcode(Design design, String id) {
    return design.changed(
        PrintedSide.OUTSIDE,
        c -> {
          int code = 0;
          while (code < c.pieces().size()
              && !(c.pieces().get(code).content() instanceof Content.Barcode)) {
            code++;
          }
          int now = c.pieces().stream().map(Piece::id).toList().indexOf(id);
          return code < c.pieces().size() && now > code ? c.reordered(id, code - now) : c;
        });
  }

  /** Every side that comes near the trim is taken to the edge of the sheet. */
  private Piece toBleed(Piece piece) {
    Box box = piece.anchors().on(wrap).orElse(wrap.trimmed());
    Length drift = wrap.rules().safe().drift();
    Box trim = wrap.trimmed();
    Box sheet = wrap.sheetBox();
    Box reached =
        Box.between(
            box.left().isMoreThan(trim.left().plus(drift)) ? box.left() : sheet.left(),
            box.top().isMoreThan(trim.top().plus(drift)) ? box.top() : sheet.top(),
            box.right().isLessThan(trim.right().minus(drift)) ? box.right() : sheet.right(),
            box.bottom().isLessThan(trim.bottom().minus(drift)) ? box.bottom() : sheet.bottom());
    boolean onePanel = wrap.panels().stream().filter(p -> p.art().overlaps(reached)).count() == 1;
    Region region =
        onePanel
            ? new Region(Region.Bounds.BLEED, wrap.panelUnder(reached).orElseThrow().kind())
            : Region.SHEET;
    return piece.withAnchors(Anchors.hung(region, Span.Hold.BOTH, Span.Hold.BOTH, reached, wrap));
  }
}
