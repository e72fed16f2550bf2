package app.reglet.core.house;

import app.reglet.core.measure.Length;

/**
 * A house that takes front, spine and back as files of their own instead of one wrap.
 *
 * @param foldBleed art past the fold that front and back carry; the spine's own file has bleed at
 *     head and tail only
 */
public record PartsRule(Length foldBleed) {}
