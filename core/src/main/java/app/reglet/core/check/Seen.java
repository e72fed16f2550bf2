package app.reglet.core.check;

/**
 * How words stand out from what really lies behind them, measured in the drawn cover.
 *
 * @param piece their id
 * @param worst the contrast ratio that all but a fiftieth of their ink has
 * @param median the ratio that half of their ink has
 * @param darkest luminance of what lies behind, but for a fiftieth
 * @param lightest luminance of what lies behind, but for a fiftieth
 * @param ink their colour on a screen, 0xRRGGBB; the mean of several
 */
public record Seen(
    String piece, double worst, double median, double darkest, double lightest, int ink) {}
