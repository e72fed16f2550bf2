package app.reglet.core.facts;

import app.reglet.core.Refusal;
import app.reglet.core.wrap.FactLimits;
import java.math.BigInteger;

/** Reads a page count as typed. */
public final class PageCount {
  private PageCount() {}

  /**
   * A count from 1 to the most that can be measured; digits of any script, spaces and thin spaces
   * between groups allowed, {@code pp} after it too.
   *
   * @throws Refusal with a sentence
   */
  public static int parse(String typed) {
    String digits =
        typed
            .strip()
            .replaceAll("(?i)\\s*(pp?\\.?|pages?)$", "")
            .replaceAll("(?<=\\d)[\\s\u00a0\u2009\u202f](?=\\d{3})", "");
    if (digits.isEmpty()) {
      throw new Refusal(
          "pages", "Give the page count of the finished inside, as the printer counts it.");
    }
    if (digits.matches("-\\s*\\p{Nd}+")) {
      throw new Refusal(
          "pages", "“" + typed.strip() + "” is below zero: a book has at least 1 page.");
    }
    if (digits.matches("\\p{Nd}+[.,]\\p{Nd}+")) {
      throw new Refusal(
          "pages",
          "“" + typed.strip() + "” is not a whole number: pages are counted, such as 320.");
    }
    if (!digits.matches("\\p{Nd}+")) {
      throw new Refusal(
          "pages", "“" + typed.strip() + "” is no page count: type a whole number, such as 320.");
    }
    BigInteger count = new BigInteger(digits);
    if (count.signum() == 0) {
      throw new Refusal("pages", "A book has at least 1 page; 0 can't be measured.");
    }
    if (count.compareTo(BigInteger.valueOf(FactLimits.MOST_PAGES)) > 0) {
      throw new Refusal(
          "pages",
          "“"
              + typed.strip()
              + "” is more pages than can be bound in one piece; Reglet measures up to "
              + String.format(java.util.Locale.ROOT, "%,d", FactLimits.MOST_PAGES)
              + ".");
    }
    return count.intValueExact();
  }
}
