package app.reglet.core.measure;

/**
 * A point on the sheet, origin top left, x to the right, y down.
 *
 * @param x distance from the left edge
 * @param y distance from the top edge
 */
public record Point(Length x, Length y) {}
