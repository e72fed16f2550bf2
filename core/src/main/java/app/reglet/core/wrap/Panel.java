package app.reglet.core.wrap;

import app.reglet.core.measure.Box;

/**
 * A part of the wrap, in sheet coordinates.
 *
 * @param kind which part
 * @param trim the part as it will be seen, between trim edges and folds
 * @param art the part with the bleed or turn-in on its outer edges
 * @param safe where words and faces are at no risk; empty for a hinge
 */
public record Panel(PanelKind kind, Box trim, Box art, Box safe) {}
