package app.reglet.core.check;

import app.reglet.core.book.Flaps;
import app.reglet.core.design.Colour;
import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import java.util.Optional;

/** What would mend a finding, as something a button can do. */
public sealed interface Remedy {
  /** What the button says. */
  String label(Unit unit);

  /** The piece it changes; empty when it changes facts, or the barcode wherever it is. */
  default Optional<String> changes() {
    return Optional.empty();
  }

  /** What changes the facts of an edition. */
  sealed interface OfFacts extends Remedy {
    /** Hands itself to the method of its kind. */
    void accept(Visitor visitor);

    /** What is done with each kind; a kind that is forgotten does not compile. */
    interface Visitor {
      void usePages(UsePages remedy);

      void useTrim(UseTrim remedy);

      void useFlaps(UseFlaps remedy);

      void outsideOnly(OutsideOnly remedy);
    }
  }

  /** What changes a design. */
  sealed interface OfDesign extends Remedy {
    /** Whether it may be done together with others, with nothing for a person to judge. */
    default boolean isSafe() {
      return false;
    }

    /** Hands itself to the method of its kind. */
    <R> R accept(Visitor<R> visitor);

    /** What can be done with each kind; a kind that is forgotten does not compile. */
    interface Visitor<R> {
      R intoSafe(IntoSafe remedy);

      R fitWords(FitWords remedy);

      R toBleed(ToBleed remedy);

      R clearOfBarcode(ClearOfBarcode remedy);

      R behindBarcode(BehindBarcode remedy);

      R takeOff(TakeOff remedy);

      R placeBarcode(PlaceBarcode remedy);

      R whitePanel(WhitePanel remedy);

      R hairline(Hairline remedy);

      R setIn(SetIn remedy);

      R placeCredits(PlaceCredits remedy);

      R recolour(Recolour remedy);

      R moveBy(MoveBy remedy);

      R putPanel(PutPanel remedy);

      R thicken(Thicken remedy);

      R carryOver(CarryOver remedy);

      R unlock(Unlock remedy);

      R show(Show remedy);

      R runOtherWay(RunOtherWay remedy);
    }
  }

  /** Take this page count. */
  record UsePages(int pages) implements OfFacts {
    @Override
    public String label(Unit unit) {
      return "Use " + pages + " pages";
    }

    @Override
    public void accept(Visitor visitor) {
      visitor.usePages(this);
    }
  }

  /** Take this trim size. */
  record UseTrim(Size trim) implements OfFacts {
    @Override
    public String label(Unit unit) {
      return "Use " + trim.brief(unit);
    }

    @Override
    public void accept(Visitor visitor) {
      visitor.useTrim(this);
    }
  }

  /** Take these flaps. */
  record UseFlaps(Flaps flaps) implements OfFacts {
    @Override
    public String label(Unit unit) {
      return flaps.front().equals(flaps.back())
          ? "Use flaps of " + flaps.front().print(unit)
          : "Use flaps of "
              + flaps.front().print(unit)
              + " (front) and "
              + flaps.back().print(unit)
              + " (back)";
    }

    @Override
    public void accept(Visitor visitor) {
      visitor.useFlaps(this);
    }
  }

  /** Leave the inside of the cover unprinted. */
  record OutsideOnly() implements OfFacts {
    @Override
    public String label(Unit unit) {
      return "Print the outside only";
    }

    @Override
    public void accept(Visitor visitor) {
      visitor.outsideOnly(this);
    }
  }

  /** Move the piece, or make it smaller, so that it keeps to the safe zone. */
  record IntoSafe(String piece) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Move into the safe zone";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.intoSafe(this);
    }
  }

  /** Let the words shrink to their box. */
  record FitWords(String piece) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Fit the words to their box";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.fitWords(this);
    }
  }

  /** Hang the piece on the bleed edge instead of the trim. */
  record ToBleed(String piece) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Stretch to the bleed edge";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.toBleed(this);
    }
  }

  /** Move words, or make their box smaller, so that they stand clear of the barcode area. */
  record ClearOfBarcode(String piece) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Move clear of the barcode area";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.clearOfBarcode(this);
    }
  }

  /** Put the piece behind the barcode. */
  record BehindBarcode(String piece) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Send it behind the barcode";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.behindBarcode(this);
    }
  }

  /**
   * Take the piece off the cover.
   *
   * @param name what people call it
   */
  record TakeOff(String piece, String name) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Take “" + name + "” off";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.takeOff(this);
    }
  }

  /** Draw a thin line round a cover for screens. */
  record Hairline() implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.empty();
    }

    @Override
    public String label(Unit unit) {
      return "Draw a hairline round it";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.hairline(this);
    }
  }

  /** Lay the barcode on white. */
  record WhitePanel(String piece) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Lay it on white";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.whitePanel(this);
    }
  }

  /** Put the barcode in its area. */
  record PlaceBarcode() implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public String label(Unit unit) {
      return "Put the barcode in its area";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.placeBarcode(this);
    }
  }

  /** Set words in a typeface that has all their characters. */
  record SetIn(String piece, Laid.Face face) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Set it in " + face.name();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.setIn(this);
    }
  }

  /** Put a line with the credits of the cover's pictures on the back, or the front without one. */
  record PlaceCredits() implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public String label(Unit unit) {
      return "Place the credit";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.placeCredits(this);
    }
  }

  /** Give the words another colour. */
  record Recolour(String piece, Colour.Rgb colour) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Set in " + colour.text();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.recolour(this);
    }
  }

  /**
   * Put a panel behind the words.
   *
   * @param ink their colour, 0xRRGGBB: the panel is light behind dark words and dark behind light
   */
  record PutPanel(String piece, int ink) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Put a panel behind";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.putPanel(this);
    }
  }

  /**
   * Move the piece to the side.
   *
   * @param by right; left when negative
   */
  record MoveBy(String piece, Length by) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Move it " + by.abs().brief(unit) + (by.isNegative() ? " left" : " right");
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.moveBy(this);
    }
  }

  /** Draw a line thicker. */
  record Thicken(String piece, Length width) implements OfDesign {
    @Override
    public boolean isSafe() {
      return true;
    }

    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Make the line " + width.brief(Unit.PT) + " thick";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.thicken(this);
    }
  }

  /** Carry the edges that lie on folds over them. */
  record CarryOver(String piece, Length by) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Carry it " + by.brief(unit) + " over the fold";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.carryOver(this);
    }
  }

  /** Print a hidden piece again. */
  record Show(String piece, String name) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Show “" + name + "”";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.show(this);
    }
  }

  /** Let hands and remedies at a piece again. */
  record Unlock(String piece) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Unlock it";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.unlock(this);
    }
  }

  /**
   * Turn words on a spine round where they stand.
   *
   * @param to the way they run then
   */
  record RunOtherWay(String piece, SpineTypeRule.Direction to) implements OfDesign {
    @Override
    public Optional<String> changes() {
      return Optional.of(piece);
    }

    @Override
    public String label(Unit unit) {
      return "Run it from " + to.words();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.runOtherWay(this);
    }
  }
}
