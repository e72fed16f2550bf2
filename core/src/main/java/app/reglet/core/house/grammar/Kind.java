package app.reglet.core.house.grammar;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Unit;
import java.util.List;

/** What a field of a rule sheet holds, with its limits. Lengths are bounded by the reader alike. */
public sealed interface Kind {

  /** What a reader of kinds does with each. */
  interface Visitor<R> {
    R text(Text kind);

    R count(Count kind);

    R decimal(Decimal kind);

    R length(LengthText kind);

    R size(SizeText kind);

    R sizes(Sizes kind);

    R choice(Choice kind);

    R several(Several kind);

    R flag(Flag kind);

    R name(Name kind);

    R names(Names kind);

    R prices(Prices kind);

    R part(One kind);

    R parts(Many kind);
  }

  <R> R accept(Visitor<R> visitor);

  /**
   * A text.
   *
   * @param pattern what it must match as a whole (ECMA-262 and Java alike), empty for any
   * @param said what is told of one that doesn't, empty where any does
   */
  record Text(String pattern, String said) implements Kind {
    /** Longest text, in characters. */
    public static final int MOST = 2000;

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.text(this);
    }
  }

  /** A whole number within limits, both included. */
  record Count(int least, int most) implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.count(this);
    }
  }

  /**
   * A bare number, at most 100 000.
   *
   * @param zero whether it may be zero: a price; else it must be above
   * @param decimals how many are read
   */
  record Decimal(boolean zero, int decimals) implements Kind {
    /** The largest. */
    public static final int MOST = 100_000;

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.decimal(this);
    }
  }

  /** A length as text with its unit; without one it is in the sheet's. */
  record LengthText(Least least) implements Kind {
    /** No length on a cover is more, either way. */
    public static final Length LONGEST = Length.of(1500, Unit.MM);

    /** The lower end of a length. */
    public enum Least {
      ANY,
      ZERO,
      ABOVE_ZERO
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.length(this);
    }
  }

  /** A size as text, {@code 6 x 9 in} or a name of ISO 216. */
  record SizeText() implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.size(this);
    }
  }

  /** A list of sizes, empty when the field is absent. */
  record Sizes() implements Kind {
    /** Most sizes listed. */
    public static final int MOST = 500;

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.sizes(this);
    }
  }

  /** A value as the document has it and as people read it. */
  record Option(String value, String label) {}

  /** One of a few values. */
  record Choice(List<Option> options) implements Kind {
    public Choice {
      options = List.copyOf(options);
    }

    /** The values. */
    public List<String> values() {
      return options.stream().map(Option::value).toList();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.choice(this);
    }
  }

  /** A list of some of a few values. */
  record Several(List<Option> options) implements Kind {
    public Several {
      options = List.copyOf(options);
    }

    /** The values. */
    public List<String> values() {
      return options.stream().map(Option::value).toList();
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.several(this);
    }
  }

  /** True or false. */
  record Flag() implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.flag(this);
    }
  }

  /**
   * A short name that the sheet defines.
   *
   * @param list the field of the sheet that defines it
   */
  record Name(String list) implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.name(this);
    }
  }

  /**
   * A list of short names that the sheet defines, empty when the field is absent.
   *
   * @param list the field of the sheet that defines them
   */
  record Names(String list) implements Kind {
    /** Most names listed. */
    public static final int MOST = 200;

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.names(this);
    }
  }

  /**
   * An object of prices by short name.
   *
   * @param list the field of the sheet that defines the names
   * @param price what each is
   */
  record Prices(String list, Decimal price) implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.prices(this);
    }
  }

  /**
   * An object.
   *
   * @param says whether it says something by being there at all, however empty
   */
  record One(PartType type, boolean says) implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.part(this);
    }
  }

  /**
   * A list of objects.
   *
   * @param least how many there must be
   */
  record Many(PartType type, int least, int most) implements Kind {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.parts(this);
    }
  }
}
