package app.reglet.core.house;

import app.reglet.core.measure.Length;

/**
 * How far words and faces must keep from each kind of edge.
 *
 * @param trim from a trimmed edge
 * @param fold from a fold, each side
 * @param hinge from a hinge's edge
 * @param drift how far the knife may really go, either way
 */
public record SafeDistances(Length trim, Length fold, Length hinge, Length drift) {}
