package app.reglet.core.measure;

/**
 * Units a length is typed or printed in. All are exact multiples of {@link Length}'s quantum.
 *
 * <p>Sources: 1 in = 25.4 mm, the international inch of the 1959 agreement; 1 pt = 1/72 in and 1
 * pica = 12 pt, the PostScript/PDF point (ISO 32000-1, 8.3.2.3); 1 px = 1/96 in, the reference
 * pixel (W3C CSS Values and Units 4, 5.2): the unit of ebook shops, whose sheets are measured in
 * it.
 */
public enum Unit {
  MM("mm", Length.QUANTA_PER_MM, 3),
  CM("cm", 10 * Length.QUANTA_PER_MM, 4),
  IN("in", Length.QUANTA_PER_INCH, 4),
  PT("pt", Length.QUANTA_PER_POINT, 2),
  PICA("pc", 12 * Length.QUANTA_PER_POINT, 3),
  PX("px", Length.QUANTA_PER_INCH / 96, 1);

  private final String symbol;
  private final long quanta;
  private final int decimals;

  Unit(String symbol, long quanta, int decimals) {
    this.symbol = symbol;
    this.quanta = quanta;
    this.decimals = decimals;
  }

  /** What is written after the number, {@code mm} or {@code in}. */
  public String symbol() {
    return symbol;
  }

  /** How many of {@link Length}'s quanta make one of this unit. */
  public long quanta() {
    return quanta;
  }

  /** Decimals that are enough to read a figure in this unit on a drawing. */
  public int decimals() {
    return decimals;
  }
}
