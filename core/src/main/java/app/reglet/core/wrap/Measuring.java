package app.reglet.core.wrap;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.house.BindingRules;
import app.reglet.core.house.Make;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Edges;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Measures the full sheet of a cover: {@code Specification + RuleSheet → Wrap}.
 *
 * <p>Every binding is a row of panels side by side with a margin (bleed or turn-in) round it; the
 * bindings differ only in which panels there are and how wide. Formulas: common practice of the
 * trade, no single source.
 */
public final class Measuring implements Make.Visitor<Void> {
  private final RuleSheet house;
  private final BindingRules rules;
  private final Specification spec;
  private final SpineWidth spine;
  private final List<Strip> strips = new ArrayList<>();
  private final List<Sum.Term> across = new ArrayList<>();
  private final List<Sum.Term> down = new ArrayList<>();
  private Edges margin;
  private boolean turnIn;
  private Length hingeInside = Length.ZERO;
  private Length height;

  /** A panel before it has a place: its kind and its width. */
  private record Strip(PanelKind kind, Length width) {}

  private Measuring(Specification spec, RuleSheet house) {
    this.house = house;
    this.spec = spec;
    this.rules = house.rules(spec.binding());
    if (spec.binding() != Binding.EBOOK) {
      house.stock(spec.stock());
      house.ink(spec.ink());
    }
    FactLimits.check(spec);
    this.spine = SpineWidth.of(rules.spineFor(spec), spec, rules.odd().bound(spec.pages()));
    if (spine.stated().isNegative()) {
      throw new Refusal(
          "pages",
          spec.pages()
              + " pages make a spine of "
              + spine.stated().print(house.unit())
              + " by this rule: the count is too small.");
    }
  }

  /**
   * Measures a cover.
   *
   * @throws Refusal with a sentence when the facts can't be measured by this sheet; facts that can
   *     be measured but aren't offered are left to the checks
   */
  public static Wrap measure(Specification spec, RuleSheet house) {
    return new Measuring(spec, house).build();
  }

  private Wrap build() {
    rules.make().accept(this);
    if (spec.turn() == PageTurn.RTL) {
      Collections.reverse(strips);
      Collections.reverse(across);
    }
    return assemble();
  }

  @Override
  public Void screen(Make.Screen made) {
    margin = Edges.NONE;
    Length w = spec.trim().width();
    heightOf("height", spec.trim().height());
    strip(PanelKind.FRONT, w);
    across.add(new Sum.Term(1, w, "width"));
    return null;
  }

  @Override
  public Void plain(Make.Plain made) {
    bleed();
    Length w = spec.trim().width();
    heightOf("trim height", spec.trim().height());
    row(Length.ZERO, w, Length.ZERO, w, Length.ZERO);
    across.add(new Sum.Term(2, w, "trim width"));
    across.add(new Sum.Term(1, spine.stated(), "spine"));
    across.add(new Sum.Term(2, margin.left(), "bleed"));
    return null;
  }

  @Override
  public Void flapped(Make.Flapped make) {
    bleed();
    Length w = spec.trim().width();
    Flaps flaps = flaps(make.folded());
    Length backGain = flaps.back().isZero() ? Length.ZERO : make.foldAllowance();
    Length frontGain = flaps.front().isZero() ? Length.ZERO : make.foldAllowance();
    heightOf("trim height", spec.trim().height());
    row(flaps.back(), w.plus(backGain), Length.ZERO, w.plus(frontGain), flaps.front());
    across.add(new Sum.Term(1, flaps.back(), "back flap"));
    across.add(new Sum.Term(2, w, "trim width"));
    across.add(new Sum.Term(1, backGain.plus(frontGain), "fold allowances"));
    across.add(new Sum.Term(1, spine.stated(), "spine"));
    across.add(new Sum.Term(1, flaps.front(), "front flap"));
    across.add(new Sum.Term(2, margin.left(), "bleed"));
    return null;
  }

  @Override
  public Void caseMade(Make.Case make) {
    margin = Edges.all(make.turnIn());
    turnIn = true;
    Length face = face(make);
    faceHeight(make);
    Length hinge = make.hingeAdded() ? make.hinge() : Length.ZERO;
    hingeInside = make.hingeAdded() ? Length.ZERO : make.hinge();
    row(Length.ZERO, face, hinge, face, Length.ZERO);
    across.add(new Sum.Term(2, make.turnIn(), "turn-in"));
    faceTerms(make);
    across.add(new Sum.Term(2, hinge, "hinge"));
    across.add(new Sum.Term(1, spine.stated(), "spine"));
    return null;
  }

  @Override
  public Void jacket(Make.Jacket make) {
    bleed();
    Make.Case c = make.around();
    Length hinge = c.hingeAdded() ? c.hinge() : Length.ZERO;
    Length panel = face(c).plus(hinge).plus(make.allowance());
    Flaps flaps = flaps(make.folded());
    faceHeight(c);
    hingeInside = c.hinge();
    row(flaps.back(), panel, Length.ZERO, panel, flaps.front());
    across.add(new Sum.Term(1, flaps.back(), "back flap"));
    faceTerms(c);
    across.add(new Sum.Term(2, hinge, "hinge"));
    across.add(new Sum.Term(2, make.allowance(), "board and fold allowance"));
    across.add(new Sum.Term(1, spine.stated(), "spine"));
    across.add(new Sum.Term(1, flaps.front(), "front flap"));
    across.add(new Sum.Term(2, margin.left(), "bleed"));
    return null;
  }

  private void bleed() {
    margin = Edges.all(rules.bleed());
  }

  private Length face(Make.Case make) {
    return spec.trim().width().plus(make.squares().right()).plus(make.jointGain());
  }

  private void faceTerms(Make.Case make) {
    across.add(new Sum.Term(2, spec.trim().width(), "trim width"));
    across.add(new Sum.Term(2, make.squares().right(), "fore-edge square"));
    across.add(new Sum.Term(2, make.jointGain(), "joint gain"));
  }

  private void faceHeight(Make.Case make) {
    heightOf("trim height", spec.trim().height());
    height = height.plus(make.squares().top()).plus(make.squares().bottom());
    down.add(new Sum.Term(1, make.squares().top(), "head square"));
    down.add(new Sum.Term(1, make.squares().bottom(), "tail square"));
  }

  private void heightOf(String what, Length h) {
    height = h;
    down.add(new Sum.Term(1, h, what));
  }

  /**
   * The flaps asked for, else the house's usual ones; whether it folds them is a check's matter.
   */
  private Flaps flaps(Make.FlapRange range) {
    return spec.flaps().orElse(new Flaps(range.usual(), range.usual()));
  }

  private void row(Length backFlap, Length back, Length hinge, Length front, Length frontFlap) {
    strip(PanelKind.BACK_FLAP, backFlap);
    strip(PanelKind.BACK, back);
    strip(PanelKind.BACK_HINGE, hinge);
    strip(PanelKind.SPINE, spine.stated());
    strip(PanelKind.FRONT_HINGE, hinge);
    strip(PanelKind.FRONT, front);
    strip(PanelKind.FRONT_FLAP, frontFlap);
  }

  private void strip(PanelKind kind, Length width) {
    if (width.isPositive()) {
      strips.add(new Strip(kind, width));
    }
  }

  private Wrap assemble() {
    String edge = turnIn ? "turn-in" : "bleed";
    down.add(new Sum.Term(2, margin.top(), edge));
    margin = StatedPage.of(house, spec.binding()).widened(margin, across, down, edge);
    Sum widthSum = Sum.of("sheet width", across);
    Sum heightSum = Sum.of("sheet height", down);
    Size sheet = new Size(widthSum.result(), heightSum.result());
    Box whole = new Box(Length.ZERO, Length.ZERO, sheet.width(), sheet.height());
    Box trimmed = whole.inset(margin);

    KeptZones keep = new KeptZones(rules, spec.turn(), hingeInside);
    List<Panel> panels = new ArrayList<>();
    List<Fold> folds = new ArrayList<>();
    List<Zone> zones = new ArrayList<>();
    Length x = trimmed.left();
    for (int i = 0; i < strips.size(); i++) {
      Strip s = strips.get(i);
      PanelKind before = i == 0 ? null : strips.get(i - 1).kind();
      PanelKind after = i == strips.size() - 1 ? null : strips.get(i + 1).kind();
      if (before != null) {
        folds.add(new Fold(x, before, s.kind()));
      }
      Box box = new Box(x, trimmed.top(), s.width(), height);
      Box art =
          box.outset(
              new Edges(
                  margin.top(),
                  after == null ? margin.right() : Length.ZERO,
                  margin.bottom(),
                  before == null ? margin.left() : Length.ZERO));
      panels.add(new Panel(s.kind(), box, art, keep.safe(s.kind(), box, before, after)));
      keep.hinge(s.kind(), box, before).ifPresent(zones::add);
      x = x.plus(s.width());
    }
    for (Panel p : panels) {
      if (!p.kind().isHinge()) {
        zones.add(new Zone(Zone.Kind.SAFE, p.kind(), p.safe()));
      }
      if (p.kind() == PanelKind.BACK) {
        rules
            .barcode()
            .ifPresent(
                b ->
                    zones.add(
                        new Zone(Zone.Kind.BARCODE, PanelKind.BACK, keep.barcode(b, p.trim()))));
      }
    }
    return new Wrap(
        FilePage.OUTSIDE,
        whole,
        house,
        rules,
        spec,
        spine,
        sheet,
        house.files().sheetRounding().apply(sheet),
        trimmed,
        margin,
        turnIn,
        panels,
        folds,
        zones,
        dimensions(sheet, trimmed, panels),
        widthSum,
        heightSum);
  }

  private List<Dimension> dimensions(Size sheet, Box trimmed, List<Panel> panels) {
    return Dimension.of(sheet, trimmed, panels, turnIn ? "turn-in" : "bleed");
  }
}
