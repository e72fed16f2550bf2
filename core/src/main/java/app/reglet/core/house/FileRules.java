package app.reglet.core.house;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import app.reglet.core.measure.Unit;
import java.util.Set;

/**
 * What a house wants of the file.
 *
 * @param sheetRounding how it states sheet sizes
 * @param pageSize which size the file's page is made in
 * @param tolerance how far a page may differ from the exact sheet, either way
 * @param wantedPpi picture resolution asked for, pixels per inch at printed size
 * @param leastPpi picture resolution below which a picture shows its pixels
 * @param mostMegabytes largest upload, zero when not stated
 * @param formats kinds of file taken: pdf, jpeg, tiff, png; empty means pdf
 * @param press how the press file is made
 * @param findings which stop a file here, and which only advise
 */
public record FileRules(
    Rounding sheetRounding,
    PageSize pageSize,
    Length tolerance,
    int wantedPpi,
    int leastPpi,
    int mostMegabytes,
    Set<String> formats,
    PressRules press,
    FindingRules findings) {
  /** The size a page is made in. */
  public enum PageSize {
    /** As computed. */
    EXACT,
    /** As the house states it, rounded; the difference lies in the bleed. */
    STATED
  }

  /** What is said of the page's size: {@code made in the exact size, …}. */
  public String print(Unit unit) {
    String made =
        switch (pageSize) {
          case EXACT ->
              "made in the exact size"
                  + (sheetRounding.isNone() ? "" : "; stated " + sheetRounding.print(unit));
          case STATED ->
              "made in the stated size, rounded "
                  + sheetRounding.print(unit)
                  + "; the difference lies in the bleed";
        };
    return made
        + (tolerance.isPositive() ? "; " + tolerance.print(unit) + " off either way is taken" : "");
  }

  public FileRules {
    formats = formats.isEmpty() ? Set.of("pdf") : Set.copyOf(formats);
  }
}
