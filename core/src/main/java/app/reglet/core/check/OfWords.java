package app.reglet.core.check;

import app.reglet.core.house.SpineTypeRule;
import app.reglet.core.measure.Length;
import java.util.List;

/** What checks find of words: their letters, their faces, the facts they name. */
public sealed interface OfWords extends Found {
  /** Hands itself to the method of its kind. */
  <R> R accept(Teller<R> teller);

  @Override
  default <R> R accept(Found.Visitor<R> visitor) {
    return visitor.ofWords(this);
  }

  /** One method for each kind. */
  interface Teller<R> {
    R glyphMissing(GlyphMissing found);

    R familiesMany(FamiliesMany found);

    R factUnknown(FactUnknown found);

    R factEmpty(FactEmpty found);

    R formsLacking(FormsLacking found);

    R typeSmall(TypeSmall found);

    R richBlack(RichBlack found);

    R titleFaint(TitleFaint found);

    R titleOther(TitleOther found);

    R faint(Faint found);

    R otherWay(OtherWay found);
  }

  /**
   * Letters are printed in black and other inks on top of each other.
   *
   * @param size of the letters
   * @param least size from which their drift is not seen
   */
  record RichBlack(String name, Length size, Length least) implements OfWords {
    @Override
    public String code() {
      return "type-in-rich-black";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.richBlack(this);
    }
  }

  /** A typeface lacks characters of the words. */
  record GlyphMissing(String name, String missing, String face) implements OfWords {
    @Override
    public String code() {
      return "glyph-missing";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.glyphMissing(this);
    }
  }

  /** Words of a cover stand in many families of type. */
  record FamiliesMany(List<String> families, int most) implements OfWords {
    @Override
    public String code() {
      return "families-many";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.familiesMany(this);
    }
  }

  /** Words name something in braces that is no fact of a book. */
  record FactUnknown(String name, String fact) implements OfWords {
    @Override
    public String code() {
      return "fact-unknown";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.factUnknown(this);
    }
  }

  /** Words name a fact that the book does not state. */
  record FactEmpty(String name, String fact) implements OfWords {
    @Override
    public String code() {
      return "fact-empty";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.factEmpty(this);
    }
  }

  /** A family lacks what words ask of it. */
  record FormsLacking(String name, String face, Laid.Lack lack) implements OfWords {
    @Override
    public String code() {
      return "forms-lacking";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.formsLacking(this);
    }
  }

  /** Type is smaller than it prints well. */
  record TypeSmall(String name, Length size, Length least, int inks) implements OfWords {
    @Override
    public String code() {
      return "type-small";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.typeSmall(this);
    }
  }

  /** The title would not be read where the cover is shown small. */
  record TitleFaint(String name, Length size, Length least, int pixels) implements OfWords {
    @Override
    public String code() {
      return "title-faint";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.titleFaint(this);
    }
  }

  /** Words say nearly the title, but not it. */
  record TitleOther(String name, String says, String title) implements OfWords {
    @Override
    public String code() {
      return "title-other";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.titleOther(this);
    }
  }

  /**
   * Words hardly stand out from what lies behind them.
   *
   * @param worst contrast ratio that all but a fiftieth of their ink has
   * @param median that half of it has
   * @param least that their size needs
   */
  record Faint(String name, double worst, double median, double least) implements OfWords {
    @Override
    public String code() {
      return "words-faint";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.faint(this);
    }
  }

  /**
   * Words on the spine run the other way than the house has them on its shelves.
   *
   * @param runs the way they run
   */
  record OtherWay(String name, SpineTypeRule.Direction runs, String house) implements OfWords {
    @Override
    public String code() {
      return "spine-type-other-way";
    }

    @Override
    public <R> R accept(Teller<R> teller) {
      return teller.otherWay(this);
    }
  }
}
