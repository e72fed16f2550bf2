package app.reglet.core.recut;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.house.Houses;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.core.recut.Recut.Choices;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Wrap;
import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.testng.annotations.Test;

/**
 * Where the parts of a finished sheet come to lie. The figures are of the geometry alone: what is
 * left of a file's width when front, back and bleed are taken off is its spine.
 */
public class RecutTest {
  private static final String SHA = "ab".repeat(32);
  private static final Offset<Double> HAIR = within(1e-9);
  private static final double INCH = 25.4;

  private static Wrap measured(RuleSheet house, Binding binding, int pages, String stock) {
    return Measuring.measure(
        Specification.of(
            binding, Size.parse("6 x 9", Unit.IN), pages, stock, "black", PageTurn.LTR),
        house);
  }

  /** 0.0025 in a page; bleed 0.125 in. */
  private static Wrap wrap(int pages) {
    return measured(Houses.GANNET, Binding.PERFECT_BOUND, pages, "cream");
  }

  private static FinishedSheet pdf(double widthInches, double heightInches) {
    Size size = new Size(Length.nearMm(widthInches * INCH), Length.nearMm(heightInches * INCH));
    return new FinishedSheet(SHA, 1, widthInches / heightInches, Optional.of(size));
  }

  private static Choices bled() {
    return new Choices(true, false, Optional.empty(), false);
  }

  private static Content.Cutting cut(Recut.Result r, String id) {
    return (Content.Cutting)
        r.side().pieces().stream()
            .filter(p -> p.id().equals("cut-" + id))
            .findFirst()
            .orElseThrow()
            .content();
  }

  private static Box box(Recut.Result r, Wrap wrap, String id) {
    return r.side().piece("cut-" + id).flatMap(p -> p.anchors().on(wrap)).orElseThrow();
  }

  @Test
  public void theSpineOfAFileIsWhatFrontBackAndBleedLeaveOfItsWidth() {
    // 6 x 9 in, bleed 0.125 in: 12.25 in and the spine
    Recut.Result r = new Recut(wrap(400), pdf(12.25 + 0.6, 9.25), bled()).result();
    assertThat(r.spine().orElseThrow().toMm()).isCloseTo(0.6 * INCH, within(1e-6));
    assertThat(r.scale()).isEqualTo(1);
    assertThat(r.lacking()).isEmpty();
  }

  @Test
  public void frontAndBackKeepTheirSizeAndTheSpineStandsInTheMiddleOfAWiderOne() {
    Wrap wrap = wrap(400);
    double spine = wrap.panel(PanelKind.SPINE).orElseThrow().trim().width().toMm();
    Recut.Result r = new Recut(wrap, pdf(12.25 + 0.6, 9.25), bled()).result();
    double width = 12.85;
    Content.Cutting back = cut(r, "back");
    assertThat(back.left()).isZero();
    assertThat(back.top()).isZero();
    assertThat(back.bottom()).isEqualTo(1);
    assertThat(back.right()).isCloseTo(6.125 / width, HAIR);
    assertThat(box(r, wrap, "back").width().toMm()).isCloseTo(6.125 * INCH, within(1e-6));
    Content.Cutting front = cut(r, "front");
    assertThat(front.left()).isCloseTo(6.725 / width, HAIR);
    assertThat(front.right()).isEqualTo(1);
    Box middle = box(r, wrap, "spine");
    assertThat(middle.width().toMm()).isCloseTo(0.6 * INCH, within(1e-6));
    assertThat(middle.centreX().minus(wrap.sheetBox().centreX()).abs().toMm()).isLessThan(1e-6);
    assertThat(box(r, wrap, "spine-under").width().toMm()).isCloseTo(spine, within(1e-6));
    assertThat(cut(r, "spine")).isEqualTo(cut(r, "spine-under"));
    // both lie under front and back
    assertThat(r.side().pieces())
        .extracting(Piece::id)
        .containsExactly("cut-spine-under", "cut-spine", "cut-back", "cut-front");
    assertThat(new RecutText(wrap, Unit.IN).of(r, bled()).get(0))
        .contains("The file’s spine is 0.6 in")
        .contains("stands in the middle as it was, and 0.2 in at each side is drawn out of it");
  }

  @Test
  public void aWiderSpineIsCutByFrontAndBackAndTheReportSaysByHowMuch() {
    Wrap wrap = wrap(100);
    Recut.Result r = new Recut(wrap, pdf(12.25 + 0.65, 9.25), bled()).result();
    assertThat(box(r, wrap, "spine").width().toMm()).isCloseTo(0.65 * INCH, within(1e-6));
    // 100 pages of 0.0025 in
    assertThat(new RecutText(wrap, Unit.IN).of(r, bled()).get(0))
        .contains("(as of 260 pages here)")
        .contains("0.2 in of it is cut off at each side: see that no word is cut");
    Choices drawn = new Choices(true, false, Optional.empty(), true);
    Recut.Result stretched = new Recut(wrap, pdf(12.25 + 0.65, 9.25), drawn).result();
    assertThat(stretched.side().pieces()).hasSize(3);
    assertThat(box(stretched, wrap, "spine").width().toMm()).isCloseTo(0.25 * INCH, within(1e-6));
    assertThat(new RecutText(wrap, Unit.IN).of(stretched, drawn).get(0))
        .contains("it is drawn to 38.5 % of its width, words and all");
  }

  @Test
  public void aTrimmedFileIsMirroredBeyondItsEdgesByTheBleedThatLacks() {
    Wrap wrap = wrap(400);
    FinishedSheet file = pdf(12 + 1, 9);
    assertThat(Recut.seeming(wrap, file))
        .isEqualTo(new Choices(false, false, Optional.empty(), false));
    assertThat(Recut.seeming(wrap, pdf(13.25, 9.25))).isEqualTo(bled());
    Choices trimmed = new Choices(false, false, Optional.empty(), false);
    Recut.Result r = new Recut(wrap, file, trimmed).result();
    assertThat(r.spine().orElseThrow().toMm()).isCloseTo(INCH, within(1e-6));
    Content.Cutting front = cut(r, "front");
    assertThat(front.right()).isCloseTo(1 + 0.125 / 13, HAIR);
    assertThat(front.top()).isCloseTo(-0.125 / 9, HAIR);
    assertThat(front.bottom()).isCloseTo(1 + 0.125 / 9, HAIR);
    assertThat(front.left()).isCloseTo(7 / 13.0, HAIR);
    assertThat(new RecutText(wrap, Unit.IN).of(r, trimmed))
        .anyMatch(s -> s.contains("The file has no bleed") && s.contains("for the last 0.125 in"));
  }

  @Test
  public void whatAFileIsWiderThanTheSpineThatIsToldIsSharedOutAtBothSides() {
    Wrap wrap = wrap(400);
    Choices told = new Choices(true, false, Optional.of(Length.in("0.5")), false);
    Recut.Result r = new Recut(wrap, pdf(12.85, 9.25), told).result();
    assertThat(cut(r, "back").left()).isCloseTo(0.05 / 12.85, HAIR);
    assertThat(cut(r, "back").right()).isCloseTo(6.175 / 12.85, HAIR);
    assertThat(cut(r, "front").left()).isCloseTo(6.675 / 12.85, HAIR);
    assertThat(cut(r, "front").right()).isCloseTo(12.8 / 12.85, HAIR);
    assertThat(box(r, wrap, "spine").width().toMm()).isCloseTo(0.5 * INCH, within(1e-6));
  }

  @Test
  public void aFileOfAnotherHeightIsTakenInProportionAndSaysSo() {
    Wrap wrap = wrap(400);
    Recut.Result r = new Recut(wrap, pdf((12.25 + 1) / 2, 9.25 / 2), bled()).result();
    assertThat(r.scale()).isCloseTo(2, HAIR);
    assertThat(r.spine().orElseThrow().toMm()).isCloseTo(INCH, within(1e-6));
    assertThat(new RecutText(wrap, Unit.IN).of(r, bled()))
        .anyMatch(s -> s.contains("at 200.0 % of its size"));
  }

  @Test
  public void
      backSpineAndFrontAloneGoToACaseWhoseBoardsAreLargerAndTheFlapsOfAJacketAreLeftWhite() {
    Wrap jacket = measured(Houses.DUNLIN, Binding.DUST_JACKET, 300, "white");
    Choices three = new Choices(true, true, Optional.empty(), false);
    assertThat(Recut.seeming(jacket, pdf(12.25 + 0.7, 9.25))).isEqualTo(three);
    Recut.Result r = new Recut(jacket, pdf(12.25 + 0.7, 9.25), three).result();
    assertThat(r.lacking()).containsExactlyInAnyOrder(PanelKind.FRONT_FLAP, PanelKind.BACK_FLAP);
    assertThat(r.spine().orElseThrow().toMm()).isCloseTo(0.7 * INCH, within(1e-6));
    assertThat(new RecutText(jacket, Unit.IN).of(r, three))
        .anyMatch(
            s ->
                s.equals(
                    "The file has no back flap and no front flap: that is left white, to be composed here."));
    // one size for all: what runs over a fold goes on there
    assertThat(r.parts())
        .extracting(Recut.Part::down)
        .allMatch(d -> d.equals(r.parts().get(0).down()));
    Wrap boards = measured(Houses.DUNLIN, Binding.CASE_LAMINATE, 300, "white");
    assertThat(Recut.seeming(boards, pdf(12.25 + 0.7, 9.25))).isEqualTo(three);
    Recut.Result onBoards = new Recut(boards, pdf(12.25 + 0.7, 9.25), three).result();
    assertThat(onBoards.lacking()).isEmpty();
    for (Recut.Part p : onBoards.parts()) {
      Box there = boards.panel(p.kinds().get(0)).orElseThrow().trim();
      assertThat(there.height().toMm()).isGreaterThan(0);
      if (!p.kinds().equals(List.of(PanelKind.SPINE))) {
        assertThat(p.kinds()).hasSize(2); // board and hinge
        assertThat(p.across()).isBetween(0.95, 1.1);
      }
    }
  }

  /**
   * Back, spine and front alone on boards: all get the size that the largest needs, and what is
   * then too wide or too high is cut off evenly at both sides. Figures of the geometry alone.
   */
  @Test
  public void partsThatGoToBoardsHaveOneSizeAndAreCutEvenly() {
    Wrap boards = measured(Houses.DUNLIN, Binding.CASE_LAMINATE, 300, "white");
    Choices three = new Choices(true, true, Optional.empty(), false);
    double width = 12.25 + 0.7;
    Recut.Result r = new Recut(boards, pdf(width, 9.25), three).result();
    Box front = joined(boards, PanelKind.FRONT);
    double most = Math.max(front.width().toMm() / (6 * INCH), front.height().toMm() / (9 * INCH));
    assertThat(most).isGreaterThan(1);
    for (Recut.Part p : r.parts()) {
      assertThat(p.across()).isCloseTo(most, HAIR);
      assertThat(p.down()).isCloseTo(most, HAIR);
      assertThat(p.cutDown())
          .isCloseTo((9 * INCH * most - front.height().toMm()) / 2, within(1e-6));
      boolean spine = p.kinds().equals(List.of(PanelKind.SPINE));
      double there =
          (spine ? boards.panel(PanelKind.SPINE).orElseThrow().trim() : front).width().toMm();
      double own = (spine ? 0.7 : 6) * INCH * most;
      assertThat(p.cutAcross()).isCloseTo(Math.max(0, (own - there) / 2), within(1e-6));
      assertThat(p.isAsItWas()).isFalse();
    }
    // what of the file is seen on the front: its trim begins 6.825 in from the left
    Recut.Part part = r.parts().get(2);
    Box box = box(r, boards, "front");
    Content.Cutting cut = cut(r, "front");
    double turnIn = box.right().minus(front.right()).toMm();
    assertThat(turnIn).isPositive();
    assertThat(cut.left() * width * INCH)
        .isCloseTo(6.825 * INCH + part.cutAcross() / most, within(1e-6));
    assertThat(cut.right() * width * INCH)
        .isCloseTo(12.825 * INCH + (turnIn - part.cutAcross()) / most, within(1e-6));
    assertThat(cut.top() * 9.25 * INCH)
        .isCloseTo(0.125 * INCH + (part.cutDown() - turnIn) / most, within(1e-6));
    assertThat(cut.bottom() * 9.25 * INCH)
        .isCloseTo(9.125 * INCH + (turnIn - part.cutDown()) / most, within(1e-6));
    assertThat(r.side().piece("cut-front").orElseThrow().name()).isEqualTo("Front");
  }

  /** A board with its hinge. */
  private static Box joined(Wrap wrap, PanelKind board) {
    List<Box> boxes =
        wrap.panels().stream().filter(p -> p.kind().board() == board).map(p -> p.trim()).toList();
    assertThat(boxes).hasSize(2);
    Box first = boxes.get(0);
    return new Box(
        first.left(), first.top(), boxes.get(1).right().minus(first.left()), first.height());
  }

  /** What a file of three parts has beyond the trim is half of what it is higher. */
  @Test
  public void theBleedOfThreePartsIsReadFromTheHeightUnlessItCanBeNone() {
    Wrap jacket = measured(Houses.DUNLIN, Binding.DUST_JACKET, 300, "white");
    Choices three = new Choices(true, true, Optional.empty(), false);
    assertThat(new Recut(jacket, pdf(13.4, 9.5), three).result().bleed())
        .isCloseTo(0.25 * INCH, within(1e-6));
    // an inch and a tenth at each side is another size; a picture has none: an eighth
    assertThat(new Recut(jacket, pdf(15, 11.2), three).result().bleed()).isEqualTo(3.175);
    FinishedSheet picture = new FinishedSheet(SHA, 0, 13 / 9.25, Optional.empty());
    Recut.Result r = new Recut(jacket, picture, three).result();
    assertThat(r.bleed()).isEqualTo(3.175);
    assertThat(r.scale()).isEqualTo(1);
    assertThat(r.spine().orElseThrow().toMm()).isCloseTo(0.75 * INCH, within(1e-6));
    Choices trimmed = new Choices(false, true, Optional.empty(), false);
    assertThat(new Recut(jacket, pdf(13, 9), trimmed).result().bleed()).isZero();
  }

  @Test
  public void aPartIsAsItWasUnlessItIsDrawnOrCutSoThatItIsSeen() {
    assertThat(part(1, 1, 0, 0).isAsItWas()).isTrue();
    assertThat(part(1.0004, 0.9996, 0.01, 0.01).isAsItWas()).isTrue();
    for (Recut.Part other :
        List.of(
            part(1.001, 1, 0, 0),
            part(0.999, 1, 0, 0),
            part(1, 1.001, 0, 0),
            part(1, 0.999, 0, 0),
            part(1, 1, 0.03, 0),
            part(1, 1, 0, 0.03))) {
      assertThat(other.isAsItWas()).as(other.toString()).isFalse();
    }
    assertThat(part(2, 2, 0, 0).isCut()).isFalse();
    assertThat(part(1, 1, 0.03, 0).isCut()).isTrue();
    assertThat(part(1, 1, 0, 0.03).isCut()).isTrue();
  }

  private static Recut.Part part(double across, double down, double cutAcross, double cutDown) {
    return new Recut.Part(List.of(PanelKind.FRONT), 0, 100, across, down, cutAcross, cutDown);
  }

  @Test
  public void whatCanBeNoSuchCoverIsRefusedWithTheFigures() {
    Wrap wrap = wrap(400);
    assertThatThrownBy(() -> new Recut(wrap, pdf(6.25, 9.25), bled()).result())
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("the file is 158.8 mm wide")
        .hasMessageContaining("leaves -152.4 mm for a spine");
    // 120 mm are a spine, 121 are none; half a millimetre is, 0.4 is not
    for (double none : new double[] {121, 0.4}) {
      assertThatThrownBy(() -> new Recut(wrap, pdf(12.25 + none / INCH, 9.25), bled()).result())
          .isInstanceOf(Refusal.class)
          .hasMessageContaining(
              String.format(
                  java.util.Locale.ROOT, "take 311.2 mm of it, which leaves %.1f mm", none));
    }
    for (double spine : new double[] {119.9, 0.6}) {
      assertThat(
              new Recut(wrap, pdf(12.25 + spine / INCH, 9.25), bled())
                  .result()
                  .spine()
                  .orElseThrow()
                  .toMm())
          .isCloseTo(spine, within(1e-6));
    }
    assertThatThrownBy(() -> new FinishedSheet(SHA, 0, 0, Optional.empty()))
        .isInstanceOf(Refusal.class);
  }
}
