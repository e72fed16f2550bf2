package app.reglet.core.house;

import app.reglet.core.measure.Length;

/**
 * What a house says of printing the inside of a cover.
 *
 * @param glue width of the strip on each side of the spine that must stay unprinted, where the book
 *     block is glued in; the spine's inside stays unprinted too. Zero where nothing is glued.
 *     Common practice: 3–5 mm in perfect binding
 */
public record InsideRule(Length glue) {}
