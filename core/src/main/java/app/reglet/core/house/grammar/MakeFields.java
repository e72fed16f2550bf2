package app.reglet.core.house.grammar;

import static app.reglet.core.house.grammar.Common.*;
import static app.reglet.core.house.grammar.Field.may;
import static app.reglet.core.house.grammar.Field.need;

import app.reglet.core.house.grammar.Kind.Flag;
import app.reglet.core.house.grammar.Kind.One;
import app.reglet.core.house.grammar.Kind.Sizes;

/** The fields of what a cover is made of: trims, distances, flaps, the case. */
final class MakeFields {
  static final Field TRIMS =
      need(
              "trims",
              new One(
                  PartType.of(
                          "trims",
                          may("listed", new Sizes()).label("Trims listed, one a line"),
                          may(
                              "custom",
                              new One(
                                  PartType.of(
                                      "sizeRange",
                                      need("least", SIZE)
                                          .label("or any from")
                                          .hint("4 x 6 in", "100 x 140 mm"),
                                      need("most", SIZE)
                                          .label("to")
                                          .hint("8.5 x 11 in", "230 x 320 mm")),
                                  false)))
                      .anyOf("listed", "custom"),
                  false))
          .under("Trims");

  static final Field FLAPS =
      need(
              "flaps",
              new One(
                  PartType.of(
                      "flaps",
                      need("least", LENGTH).label("Narrowest").hint("3 in", "60 mm"),
                      need("usual", LENGTH).label("Usual").hint("3.5 in", "80 mm"),
                      need("most", LENGTH).label("Widest").hint("4 in", "110 mm")),
                  false))
          .of(FLAPPED)
          .under("Flaps");

  static final Field CASE =
      need(
              "case",
              new One(
                  PartType.of(
                      "case",
                      need("turnIn", LENGTH).label("Turn-in").hint("0.75 in", "17 mm"),
                      may("square", LENGTH)
                          .label("Square all round")
                          .hint("0.125 in", "3 mm")
                          .otherwise("0"),
                      may("headSquare", LENGTH).label("or at the head"),
                      may("tailSquare", LENGTH).label("at the tail"),
                      may("foreEdgeSquare", LENGTH).label("at the fore-edge"),
                      may("jointGain", SIGNED)
                          .label("Joint gain")
                          .hint("0 in", "-2 mm")
                          .otherwise("0"),
                      need("hinge", LENGTH).label("Hinge").hint("0.25 in", "8 mm"),
                      may("hingeAdded", new Flag())
                          .label("added between face and spine")
                          .otherwise("false")),
                  false))
          .of(CASED)
          .under("Case");

  static final Field SAFE =
      need(
              "safe",
              new One(
                  PartType.of(
                      "safe",
                      need("trim", LENGTH).label("Safe from trim").hint("0.125 in", "5 mm"),
                      may("fold", LENGTH)
                          .asked(PAPER)
                          .label("Safe from folds")
                          .hint("0.0625 in", "2 mm")
                          .otherwise("0"),
                      may("hinge", LENGTH)
                          .asked(CASED)
                          .label("Safe from hinges")
                          .hint("0.125 in", "3 mm"),
                      may("drift", LENGTH)
                          .asked(PAPER)
                          .label("Trim drift")
                          .hint("0.0625 in", "1.5 mm")
                          .otherwise("0")),
                  false))
          .under("Distances");

  private MakeFields() {}
}
