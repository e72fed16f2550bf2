package app.reglet.press.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.book.PageTurn;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Proportions;
import app.reglet.core.design.Anchors;
import app.reglet.core.design.Appearance;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Composition;
import app.reglet.core.design.Content;
import app.reglet.core.design.Curve;
import app.reglet.core.design.Design;
import app.reglet.core.design.Figure;
import app.reglet.core.design.Focus;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Motif;
import app.reglet.core.design.Paint;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Setting;
import app.reglet.core.design.Span;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.Everywhere;
import app.reglet.press.Specimen;
import app.reglet.testing.Extent;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.testng.annotations.Test;

/** What holds of any design that is carried between any two covers. */
public class CarryPropertiesTest {
  private static final Carry CARRY = new Carry(Specimen.BOOK, Proportions.UNKNOWN);
  private static final int WHOLE = 1500;
  private static final int ROUNDS = Extent.rounds(300, WHOLE);

  private final List<Wrap> wraps = Everywhere.wraps(64, 240, 400);

  /** A cover and another, and a design on the first. */
  private record Case(Wrap from, Wrap to, Design design) {
    Design carried() {
      return CARRY.of(design, from, to);
    }
  }

  private Case random(Random r) {
    Wrap from = wraps.get(r.nextInt(wraps.size()));
    Wrap to = wraps.get(r.nextInt(wraps.size()));
    List<Piece> pieces = new ArrayList<>();
    int n = 3 + r.nextInt(12);
    for (int i = 0; i < n; i++) {
      pieces.add(piece(r, from, i));
    }
    Composition side = new Composition(Ground.plain(new Colour.Rgb(0xd8cdb4)), pieces);
    return new Case(from, to, new Design(Map.of(), side, Composition.BLANK));
  }

  private static Piece piece(Random r, Wrap wrap, int i) {
    List<Panel> panels = wrap.panels().stream().filter(p -> !p.safe().isEmpty()).toList();
    Panel panel = panels.get(r.nextInt(panels.size()));
    Region.Bounds bounds =
        List.of(Region.Bounds.SAFE, Region.Bounds.TRIM, Region.Bounds.BLEED).get(r.nextInt(3));
    Region region = r.nextInt(6) == 0 ? Region.SHEET : new Region(bounds, panel.kind());
    Box box = box(r, wrap, panel);
    Span.Hold across = Span.Hold.values()[r.nextInt(4)];
    Span.Hold down = Span.Hold.values()[r.nextInt(4)];
    Piece p =
        new Piece("p" + i, "P" + i, Anchors.hung(region, across, down, box, wrap), content(r));
    if (r.nextInt(5) == 0) {
      p = p.withPlacement(p.placement().withAngle(r.nextInt(360) - 179));
    }
    return r.nextInt(6) == 0 && p.content() instanceof Content.Picture
        ? p.withAppearance(
            new Appearance(
                1,
                Appearance.PLAIN.blend(),
                Optional.empty(),
                Optional.of(new Appearance.Mask(new Figure.Ellipse(), Length.ZERO))))
        : p;
  }

  /** In the safe zone, in its middle, at the sheet's edge, or anywhere on the panel. */
  private static Box box(Random r, Wrap wrap, Panel panel) {
    Box safe = panel.safe();
    Box art = panel.art();
    double w = Math.max(2, safe.width().toMm() * (0.1 + 0.8 * r.nextDouble()));
    double h = Math.max(2, safe.height().toMm() * (0.05 + 0.6 * r.nextDouble()));
    double x = safe.left().toMm() + (safe.width().toMm() - w) * r.nextDouble();
    double y = safe.top().toMm() + (safe.height().toMm() - h) * r.nextDouble();
    Box any = new Box(Length.nearMm(x), Length.nearMm(y), Length.nearMm(w), Length.nearMm(h));
    return switch (r.nextInt(4)) {
      case 0 -> any.moved(panel.trim().centreX().minus(any.centreX()), Length.ZERO);
      case 1 -> Box.between(art.left(), art.top(), art.right(), any.bottom());
      case 2 -> Box.between(any.left(), any.top(), art.right(), art.bottom());
      default -> any;
    };
  }

  private static Content content(Random r) {
    Words words =
        Words.of(null, "Low water", "spectral", Length.pt("" + (8 + r.nextInt(60))), Colour.BLACK);
    return switch (r.nextInt(7)) {
      case 0 -> Content.Shape.band(Colour.BLACK);
      case 1 -> new Content.Shape(new Figure.Ellipse(), Paint.of(Colour.BLACK), null);
      case 2 -> new Content.Shape(new Figure.Regular(5, 0.5), Paint.of(Colour.BLACK), null);
      case 3 -> new Content.Picture("ab".repeat(32), new Focus(r.nextDouble(), r.nextDouble()));
      case 4 -> new Content.Ornament(new Motif.Drawn("gull", List.of(Colour.BLACK)));
      case 5 ->
          new Words(
              null,
              "Along",
              words.type(),
              Setting.PLAIN,
              words.paint(),
              null,
              Curve.Arc.USUAL,
              null,
              null);
      default -> words;
    };
  }

  /** Something that is to hold of every piece that is on both covers. */
  private interface Property {
    /** Whether it was there to hold of this piece. */
    boolean holds(Case c, Piece was, Box from, Piece is, Box to);
  }

  /** A property of so many pieces at least. */
  private void always(long seed, int least, Property property) {
    Random r = new Random(seed);
    int seen = 0;
    for (int i = 0; i < ROUNDS; i++) {
      Case c = random(r);
      Design carried = c.carried();
      for (Piece was : c.design().outside().pieces()) {
        Piece is = carried.piece(was.id()).orElseThrow();
        Optional<Box> from = was.anchors().on(c.from());
        Optional<Box> to = is.anchors().on(c.to());
        boolean there = from.isPresent() && to.isPresent() && !is.hidden();
        if (there && property.holds(c, was, from.get(), is, to.get())) {
          seen++;
        }
      }
    }
    assertThat(seen).isGreaterThan(least * ROUNDS / WHOLE);
  }

  private static String told(Case c, Piece p) {
    return Everywhere.named(c.from())
        + " → "
        + Everywhere.named(c.to())
        + ": "
        + p.content().getClass().getSimpleName()
        + " "
        + p.anchors().on(c.from())
        + " at "
        + p.placement().angle()
        + " "
        + p.anchors();
  }

  private static boolean turnsSame(Case c) {
    return c.from().spec().turn() == c.to().spec().turn();
  }

  /** The panel that alone holds a box. */
  private static Optional<Panel> home(Wrap wrap, Box box) {
    return wrap.panelUnder(box)
        .filter(
            p ->
                !p.kind().isHinge()
                    && box.left().toMm() >= p.art().left().toMm() - 0.4
                    && box.right().toMm() <= p.art().right().toMm() + 0.4);
  }

  @Test
  public void nothingIsLostAndTheOrderStays() {
    Random r = new Random(1);
    for (int i = 0; i < ROUNDS; i++) {
      Case c = random(r);
      List<String> ids = c.carried().outside().pieces().stream().map(Piece::id).toList();
      List<String> were = c.design().outside().pieces().stream().map(Piece::id).toList();
      List<String> kept = new ArrayList<>(ids);
      kept.retainAll(were);
      assertThat(kept).as(told(c, c.design().outside().pieces().get(0))).isEqualTo(were);
    }
  }

  @Test
  public void whatWouldBeAnotherThingIsNeverStretched() {
    always(
        2,
        1000,
        (c, was, from, is, to) -> {
          boolean form =
              was.content() instanceof Content.Shape s && !(s.figure() instanceof Figure.Rectangle);
          boolean masked =
              was.content() instanceof Content.Picture && was.appearance().mask().isPresent();
          boolean curved = was.content() instanceof Words w && w.curve() != null;
          boolean turned = was.placement().angle() % 90 != 0;
          // what is at least a millimetre can have no other proportion where it was thinner
          boolean tiny = Math.min(to.width().toMm(), to.height().toMm()) < 1.001;
          if ((form || masked || curved || turned) && !tiny) {
            assertThat(to.width().toMm() / to.height().toMm())
                .as(told(c, was))
                .isCloseTo(
                    from.width().toMm() / from.height().toMm(),
                    within(0.01 * from.width().toMm() / from.height().toMm()));
            return true;
          }
          return false;
        });
  }

  @Test
  public void whatWasInsideTheSafeZoneIsInside() {
    always(
        3,
        1000,
        (c, was, from, is, to) -> {
          Optional<Panel> home = home(c.from(), from);
          boolean held =
              was.placement().angle() == 0
                  && (was.content() instanceof Words
                      || was.content() instanceof Content.Ornament
                      || was.content() instanceof Content.Picture);
          if (held
              && home.isPresent()
              && home.get().safe().contains(from, Length.mm("0.001"))
              && c.to().panel(home.get().kind()).isPresent()) {
            Box safe = c.to().panel(home.get().kind()).get().safe();
            if (safe.width().toMm() < 1) {
              return false; // a piece is at least a millimetre wide
            }
            assertThat(safe.contains(to, Length.mm("0.02")))
                .as("in " + safe + " at " + to + " " + told(c, was))
                .isTrue();
            return true;
          }
          return false;
        });
  }

  @Test
  public void whatReachedTheSheetsEdgeStillDoes() {
    always(
        4,
        500,
        (c, was, from, is, to) -> {
          Box a = c.from().sheetBox();
          Box b = c.to().sheetBox();
          if (was.placement().angle() != 0
              || !(was.content() instanceof Content.Picture
                  || was.content() instanceof Content.Shape s
                      && s.figure() instanceof Figure.Rectangle)
              || was.appearance().mask().isPresent()) {
            return false;
          }
          boolean seen = !from.bottom().isLessThan(a.bottom());
          if (seen) {
            assertThat(to.bottom().isLessThan(b.bottom())).as(told(c, was)).isFalse();
          }
          if (c.from().panels().size() == 1 && !turnsSame(c)) {
            return seen; // a screen has no spine's side to be mirrored
          }
          boolean onSheetsRight = !from.right().isLessThan(a.right());
          boolean samePanelLast =
              home(c.from(), from)
                  .map(p -> last(c.to(), turnsSame(c)).kind() == p.kind())
                  .orElse(false);
          if (onSheetsRight && samePanelLast) {
            double edge = turnsSame(c) ? to.right().toMm() : -to.left().toMm();
            double sheet = turnsSame(c) ? b.right().toMm() : -b.left().toMm();
            assertThat(edge).as(told(c, was)).isGreaterThanOrEqualTo(sheet - 0.01);
            return true;
          }
          return seen;
        });
  }

  private static Panel last(Wrap wrap, boolean right) {
    List<Panel> panels = new ArrayList<>(wrap.panels());
    if (!right) {
      Collections.reverse(panels);
    }
    return panels.get(panels.size() - 1);
  }

  @Test
  public void whatWasInTheMiddleIsInTheMiddle() {
    always(
        5,
        500,
        (c, was, from, is, to) -> {
          Optional<Panel> home = home(c.from(), from);
          Optional<Panel> there = home.flatMap(h -> c.to().panel(h.kind()));
          boolean central =
              home.isPresent()
                  && !from.centreX()
                      .minus(home.get().trim().centreX())
                      .abs()
                      .isMoreThan(Length.mm("0.005"));
          boolean reaches =
              !from.left().isMoreThan(c.from().sheetBox().left())
                  || !from.right().isLessThan(c.from().sheetBox().right());
          if (central && !reaches && there.isPresent()) {
            assertThat(to.centreX().toMm())
                .as(told(c, was))
                .isCloseTo(there.get().trim().centreX().toMm(), within(0.01));
            return true;
          }
          return false;
        });
  }

  @Test
  public void carriedToItsOwnCoverADesignIsTheSame() {
    Random r = new Random(6);
    for (int i = 0; i < ROUNDS; i++) {
      Case c = random(r);
      Design same = CARRY.of(c.design(), c.from(), c.from());
      for (Piece p : c.design().outside().pieces()) {
        Piece is = same.piece(p.id()).orElseThrow();
        if (!is.hidden()) {
          assertThat(is).as(told(c, p)).isEqualTo(p);
        }
      }
    }
  }

  @Test
  public void theMirrorEditionOfTheMirrorEditionIsTheOrigin() {
    Random r = new Random(7);
    int seen = 0;
    for (int i = 0; i < ROUNDS; i++) {
      Case c = random(r);
      if (c.from().panels().size() < 2) {
        continue;
      }
      PageTurn other = c.from().spec().turn() == PageTurn.LTR ? PageTurn.RTL : PageTurn.LTR;
      Wrap mirrored = Measuring.measure(c.from().spec().withTurn(other), c.from().house());
      Design there = CARRY.of(c.design(), c.from(), mirrored);
      Design back = CARRY.of(there, mirrored, c.from());
      for (Piece p : c.design().outside().pieces()) {
        Piece is = back.piece(p.id()).orElseThrow();
        if (is.hidden()) {
          continue;
        }
        assertThat(is.content()).as(told(c, p)).isEqualTo(p.content());
        assertThat(is.placement().angle()).isEqualTo(p.placement().angle());
        Box was = p.anchors().on(c.from()).orElseThrow();
        Box now = is.anchors().on(c.from()).orElseThrow();
        assertThat(now.left().toMm()).as(told(c, p)).isCloseTo(was.left().toMm(), within(0.1));
        assertThat(now.top().toMm()).as(told(c, p)).isCloseTo(was.top().toMm(), within(0.1));
        seen++;
      }
      assertThat(there.outside().pieces().stream().map(Piece::id).toList())
          .containsAll(c.design().outside().pieces().stream().map(Piece::id).toList());
    }
    assertThat(seen).isGreaterThan(1000 * ROUNDS / WHOLE);
  }

  @Test
  public void thereAndBackAtOneHouseAPieceIsWhereItWas() {
    Random r = new Random(8);
    int[] seen = {0};
    for (int i = 0; i < ROUNDS; i++) {
      Case c = random(r);
      boolean alike =
          turnsSame(c)
              && c.from().house().id().equals(c.to().house().id())
              && c.from().spec().binding() == c.to().spec().binding()
              && !c.from().spec().binding().isInPixels();
      if (!alike) {
        continue;
      }
      Design back = CARRY.of(c.carried(), c.to(), c.from());
      for (Piece p : c.design().outside().pieces()) {
        Piece is = back.piece(p.id()).orElseThrow();
        Box was = p.anchors().on(c.from()).orElseThrow();
        Optional<Panel> home = home(c.from(), was);
        boolean free =
            p.content() instanceof Content.Shape s
                && s.figure() instanceof Figure.Rectangle
                && p.placement().angle() == 0
                && home.filter(h -> h.kind() == PanelKind.FRONT || h.kind() == PanelKind.BACK)
                    .isPresent()
                && home.get().safe().contains(was);
        if (free) {
          Box now = is.anchors().on(c.from()).orElseThrow();
          assertThat(now.left().toMm()).as(told(c, p)).isCloseTo(was.left().toMm(), within(0.1));
          assertThat(now.width().toMm()).as(told(c, p)).isCloseTo(was.width().toMm(), within(0.1));
          assertThat(now.top().toMm()).as(told(c, p)).isCloseTo(was.top().toMm(), within(0.1));
          seen[0]++;
        }
      }
    }
    assertThat(seen[0]).isGreaterThan(20 * ROUNDS / WHOLE);
  }
}
