package app.reglet.core.house;

import app.reglet.core.measure.Length;
import app.reglet.core.measure.Rounding;
import java.util.Set;

/**
 * What a house wants of the file.
 *
 * @param sheetRounding how it states sheet sizes
 * @param tolerance how far a page may differ from the exact sheet, either way
 * @param wantedPpi picture resolution asked for, pixels per inch at printed size
 * @param leastPpi picture resolution below which a picture shows its pixels
 * @param mostMegabytes largest upload, zero when not stated
 * @param formats kinds of file taken: pdf, jpeg, tiff, png; empty means pdf
 */
public record FileRules(
    Rounding sheetRounding,
    Length tolerance,
    int wantedPpi,
    int leastPpi,
    int mostMegabytes,
    Set<String> formats) {
  public FileRules {
    formats = formats.isEmpty() ? Set.of("pdf") : Set.copyOf(formats);
  }
}
