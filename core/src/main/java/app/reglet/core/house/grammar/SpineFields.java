package app.reglet.core.house.grammar;

import static app.reglet.core.house.grammar.Common.*;
import static app.reglet.core.house.grammar.Field.may;
import static app.reglet.core.house.grammar.Field.need;

import app.reglet.core.house.grammar.Kind.Count;
import app.reglet.core.house.grammar.Kind.LengthText;
import app.reglet.core.house.grammar.Kind.LengthText.Least;
import app.reglet.core.house.grammar.Kind.Many;
import app.reglet.core.house.grammar.Kind.One;
import app.reglet.core.house.grammar.Kind.Sizes;
import java.util.Set;

/** The fields of spine rules and page limits. */
final class SpineFields {
  private static final Set<String> WITH_SPINE =
      Set.of("caliper-per-page", "paper-ppi", "grammage-bulk", "steps", "told");

  static final Field SPINE =
      need(
              "spine",
              new Many(
                  PartType.of(
                          "spineRule",
                          need(
                                  "kind",
                                  choice(
                                      "caliper-per-page", "caliper per page",
                                      "paper-ppi", "paper's pages per inch",
                                      "grammage-bulk", "grammage × bulk",
                                      "steps", "table of steps",
                                      "told", "told on the order",
                                      "none", "no spine"))
                              .label("Spine rule"),
                          need("perPage", new LengthText(Least.ABOVE_ZERO))
                              .of(Set.of("caliper-per-page"))
                              .label("Thickness of one page")
                              .hint("0.002252 in", "0.0572 mm"),
                          need("pagesPerInch", NUMBER)
                              .of(Set.of("paper-ppi"))
                              .label("Pages per inch")
                              .hint("444"),
                          need("gsm", NUMBER)
                              .of(Set.of("grammage-bulk"))
                              .label("Grammage, g/m²")
                              .hint("80")
                              .help("g/m²"),
                          may("bulk", NUMBER)
                              .of(Set.of("grammage-bulk"))
                              .label("Bulk, cm³/g")
                              .hint("1.8")
                              .help("cm³/g"),
                          may("volume", NUMBER)
                              .of(Set.of("grammage-bulk"))
                              .label("or volume")
                              .hint("18")
                              .help("The merchants' figure, ten times the bulk."),
                          may("add", SIGNED)
                              .of(Set.of("caliper-per-page", "paper-ppi", "grammage-bulk"))
                              .label("Added for cover and glue")
                              .hint("0.06 in", "0.5 mm")
                              .otherwise("0"),
                          need(
                                  "rows",
                                  new Many(
                                      PartType.of(
                                          "step",
                                          need("from", PAGES).label("from pages"),
                                          need("to", PAGES).label("to pages"),
                                          need("width", LENGTH).label("spine")),
                                      1,
                                      Grammar.MOST_ITEMS))
                              .of(Set.of("steps")),
                          may("rounding", new One(ROUNDING, false))
                              .asked(WITH_SPINE)
                              .label("Rounded to"),
                          may("stocks", STOCKS)
                              .asked(WITH_SPINE)
                              .label("Papers (none ticked: all)"),
                          may("inks", INKS).asked(WITH_SPINE).label("Inks (none ticked: all)"))
                      .by("kind")
                      .oneOf("bulk", "volume"),
                  1,
                  Grammar.MOST_ITEMS))
          .help("The first rule whose papers and inks apply is taken.");

  static final Field LIMITS =
      may(
              "pages",
              new Many(
                  PartType.of(
                      "pageLimit",
                      need("least", PAGES).label("Least pages").hint("24", "48"),
                      need("most", PAGES).label("Most pages").hint("828", "960"),
                      may("multiple", new Count(1, 64)).label("Multiple of").hint("2", "8"),
                      may("trims", new Sizes()).label("Only trims (none: all)"),
                      may("stocks", STOCKS).label("Only papers (none: all)")),
                  0,
                  Grammar.MOST_ITEMS))
          .asked(PAPER)
          .help("The first limit whose trims and papers apply is taken.");

  private SpineFields() {}
}
