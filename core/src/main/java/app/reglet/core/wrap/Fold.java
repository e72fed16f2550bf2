package app.reglet.core.wrap;

import app.reglet.core.measure.Length;

/**
 * A line from head to tail where the cover bends.
 *
 * @param x distance from the left edge of the sheet
 * @param between the panel on its left
 * @param and the panel on its right
 */
public record Fold(Length x, PanelKind between, PanelKind and) {}
