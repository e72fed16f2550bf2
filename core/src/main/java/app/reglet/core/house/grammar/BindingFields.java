package app.reglet.core.house.grammar;

import static app.reglet.core.house.grammar.Common.*;
import static app.reglet.core.house.grammar.Field.may;
import static app.reglet.core.house.grammar.Field.need;

import app.reglet.core.book.Binding;
import app.reglet.core.house.grammar.Kind.Count;
import app.reglet.core.house.grammar.Kind.One;
import app.reglet.core.house.grammar.Kind.Prices;

/** The fields of what a sheet says of one binding. */
final class BindingFields {
  private static final Field SPINE_TYPE =
      may(
              "spineType",
              new One(
                  PartType.of(
                      "spineType",
                      may("leastPages", new Count(0, Grammar.MOST_PAGES))
                          .label("From pages")
                          .hint("80", "0")
                          .otherwise("0"),
                      may("leastWidth", LENGTH)
                          .label("From a spine of")
                          .hint("0.25 in", "6 mm")
                          .otherwise("0"),
                      may("leastSize", LENGTH).label("Smallest type").hint("7 pt").otherwise("0"),
                      may(
                              "direction",
                              choice(
                                  "top-to-bottom", "top to bottom",
                                  "bottom-to-top", "bottom to top"))
                          .label("Direction")
                          .otherwise("top-to-bottom")),
                  false))
          .asked(bindings(Binding::hasSpine))
          .under("Words on the spine (left empty: none)")
          .help("Without it no words go on the spine.");

  private static final Field BARCODE =
      may(
              "barcode",
              new One(
                  PartType.of(
                      "barcode",
                      need("width", LENGTH).label("Width").hint("2 in", "45 mm"),
                      need("height", LENGTH).label("Height").hint("1.2 in", "32 mm"),
                      need("fromSide", LENGTH).label("From the side").hint("0.25 in", "8 mm"),
                      need("fromTail", LENGTH).label("From the tail").hint("0.25 in", "8 mm"),
                      may(
                              "corner",
                              choice("spine", "beside the spine", "fore-edge", "at the fore-edge"))
                          .label("Corner")
                          .otherwise("spine"),
                      may(
                              "supplier",
                              choice(
                                  "designer", "the designer",
                                  "house", "the house",
                                  "either", "whoever does"))
                          .label("Printed by")
                          .otherwise("designer")),
                  false))
          .asked(bindings(Binding::hasBack))
          .under("Barcode area (left empty: none)");

  private static final Field COST =
      may(
              "cost",
              new One(
                  PartType.of(
                      "cost",
                      need("currency", CURRENCY).label("Currency").hint("GBP"),
                      need("fixed", PRICE).label("Fixed, a copy").hint("0.95"),
                      need("perPage", new Prices("inks", PRICE)).label("A page").hint("0.0125")),
                  false))
          .asked(PAPER)
          .under("Cost of one copy (left empty: not said)")
          .help("One copy: fixed + pages × price per page, by inside ink.");

  static final PartType BINDING =
      PartType.of(
              "binding",
              need("binding", bindingNames()),
              SpineFields.SPINE,
              SpineFields.LIMITS,
              may(
                      "odd",
                      choice(
                          "refuse", "is refused",
                          "as-typed", "is bound as typed",
                          "blank-side", "gets a blank side more"))
                  .asked(PAPER)
                  .under("Page counts")
                  .label("An odd count")
                  .help(
                      "What an odd count becomes: refused, measured as typed, or bound with a blank"
                          + " side more. Absent: what the limit's multiple says."),
              MakeFields.TRIMS,
              need("bleed", LENGTH)
                  .of(BLED)
                  .under("Distances")
                  .label("Bleed")
                  .hint("0.125 in", "3 mm"),
              MakeFields.SAFE,
              may("blockBleed", LENGTH)
                  .asked(PAPER)
                  .under("Distances")
                  .label("Bleed of inside pages")
                  .hint("0.125 in", "3 mm")
                  .help("Bleed of the book block's pages; the cover's bleed when not given."),
              MakeFields.FLAPS,
              may("foldAllowance", LENGTH)
                  .of(ids(Binding.FLAPPED))
                  .under("Flaps")
                  .label("Fold allowance a flap")
                  .hint("0.04 in", "1 mm")
                  .otherwise("0"),
              may("allowance", LENGTH)
                  .of(ids(Binding.DUST_JACKET))
                  .under("Flaps")
                  .label("Allowance a panel for board and folds")
                  .hint("0.0625 in", "2 mm")
                  .otherwise("0"),
              MakeFields.CASE,
              SPINE_TYPE,
              BARCODE,
              may(
                      "inside",
                      new One(
                          PartType.of(
                              "inside",
                              may("glue", LENGTH)
                                  .label("Glue strip each side")
                                  .hint("0.16 in", "4 mm")
                                  .otherwise("0")),
                          true))
                  .asked(PAPER)
                  .under("Handing over")
                  .label("prints the inside of the cover")
                  .help(
                      "The house prints the inside of the cover. Glue: the strip on each side of"
                          + " the spine that stays unprinted."),
              may(
                      "parts",
                      new One(
                          PartType.of(
                              "parts",
                              may("foldBleed", LENGTH)
                                  .label("Bleed past the fold")
                                  .hint("0.125 in", "3 mm")
                                  .otherwise("0")),
                          true))
                  .asked(PAPER)
                  .under("Handing over")
                  .label("wants front, spine and back apart")
                  .help("The house wants front, spine and back as files of their own."),
              COST)
          .by("binding");

  private BindingFields() {}
}
