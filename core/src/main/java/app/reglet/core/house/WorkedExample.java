package app.reglet.core.house;

import app.reglet.core.book.Specification;

/**
 * A case worked out in the house's own guide: these facts must give these figures.
 *
 * @param spec the facts
 * @param spine the spine as printed in the guide, {@code 0.2252 in}; empty when not given
 * @param sheet the full sheet as printed, {@code 12.48 x 9.25 in}; empty when not given
 * @param source where the guide says so
 */
public record WorkedExample(Specification spec, String spine, String sheet, String source) {}
