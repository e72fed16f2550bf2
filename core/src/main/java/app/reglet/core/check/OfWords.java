package app.reglet.core.check;

import java.util.List;

/** What checks find of words: their letters, their faces, the facts they name. */
public sealed interface OfWords extends Found {
  /** A typeface lacks characters of the words. */
  record GlyphMissing(String name, String missing, String face) implements OfWords {
    @Override
    public String code() {
      return "glyph-missing";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.glyphMissing(this);
    }
  }

  /** Words of a cover stand in many families of type. */
  record FamiliesMany(List<String> families, int most) implements OfWords {
    @Override
    public String code() {
      return "families-many";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.familiesMany(this);
    }
  }

  /** Words name something in braces that is no fact of a book. */
  record FactUnknown(String name, String fact) implements OfWords {
    @Override
    public String code() {
      return "fact-unknown";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.factUnknown(this);
    }
  }

  /** Words name a fact that the book does not state. */
  record FactEmpty(String name, String fact) implements OfWords {
    @Override
    public String code() {
      return "fact-empty";
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.factEmpty(this);
    }
  }
}
