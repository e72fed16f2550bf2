package app.reglet.web.houses;

import app.reglet.core.book.Binding;
import app.reglet.web.houses.SheetForm.BindingForm;
import app.reglet.web.houses.SheetForm.Field;
import app.reglet.web.houses.SheetForm.Group;
import app.reglet.web.houses.SheetForm.Item;
import app.reglet.web.houses.SheetForm.Option;
import app.reglet.web.houses.SheetForm.RuleForm;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** The fields of what a rule sheet says of one binding. */
final class BindingFields extends FormFields {
  BindingFields(JsonNode root) {
    super(root);
  }

  /** The form of the binding at a place. */
  BindingForm binding(String p) {
    Binding kind = Binding.byId(text(at(p + ".binding")));
    String title = kind == null ? text(at(p + ".binding")) : kind.title();
    List<RuleForm> rules = new ArrayList<>();
    for (String r : items(p + ".spine")) {
      rules.add(rule(r));
    }
    return new BindingForm(p, title, rules, limits(p), groups(p, kind));
  }

  private RuleForm rule(String p) {
    String kind = text(at(p + ".kind"));
    List<Field> fields = new ArrayList<>();
    fields.add(
        select(
            p + ".kind",
            "Spine rule",
            option("caliper-per-page", "caliper per page"),
            option("paper-ppi", "paper's pages per inch"),
            option("grammage-bulk", "grammage × bulk"),
            option("steps", "table of steps"),
            option("told", "told on the order"),
            option("none", "no spine")));
    switch (kind) {
      case "caliper-per-page" ->
          fields.add(figure(p + ".perPage", "Thickness of one page", "0.002252 in", "0.0572 mm"));
      case "paper-ppi" -> fields.add(figure(p + ".pagesPerInch", "Pages per inch", "444", "444"));
      case "grammage-bulk" -> {
        fields.add(figure(p + ".gsm", "Grammage, g/m²", "80", "80"));
        fields.add(figure(p + ".bulk", "Bulk, cm³/g", "1.8", "1.8"));
        fields.add(figure(p + ".volume", "or volume", "18", "18"));
      }
      default -> {
        // a table, a told width and no spine have no figure of their own
      }
    }
    if (List.of("caliper-per-page", "paper-ppi", "grammage-bulk").contains(kind)) {
      fields.add(figure(p + ".add", "Added for cover and glue", "0.06 in", "0.5 mm"));
    }
    if (!kind.equals("none")) {
      rounding(p + ".rounding", "Rounded to", fields);
      chosenFrom("stocks", p + ".stocks", "Papers (none ticked: all)", fields);
      chosenFrom("inks", p + ".inks", "Inks (none ticked: all)", fields);
    }
    boolean steps = kind.equals("steps");
    return new RuleForm(p, fields, steps, steps ? steps(p) : List.of());
  }

  /** The table's rows, with three empty ones to go on typing in. */
  private List<Item> steps(String p) {
    int there = items(p + ".rows").size();
    List<Item> rows = new ArrayList<>();
    for (int i = 0; i < there + 3; i++) {
      String row = p + ".rows[" + i + "]";
      rows.add(
          new Item(
              row,
              List.of(
                  figure(row + ".from", "from pages", "", ""),
                  figure(row + ".to", "to pages", "", ""),
                  figure(row + ".width", "spine", "", ""))));
    }
    return rows;
  }

  private List<Item> limits(String binding) {
    return rows(
        binding + ".pages",
        p -> {
          List<Field> fields = new ArrayList<>();
          fields.add(figure(p + ".least", "Least pages", "24", "48"));
          fields.add(figure(p + ".most", "Most pages", "828", "960"));
          fields.add(figure(p + ".multiple", "Multiple of", "2", "8"));
          fields.add(lines(p + ".trims", "Only trims (none: all)"));
          chosenFrom("stocks", p + ".stocks", "Only papers (none: all)", fields);
          return fields;
        });
  }

  private List<Group> groups(String p, Binding kind) {
    boolean cased = kind == Binding.CASE_LAMINATE;
    List<Group> groups = new ArrayList<>();
    groups.add(
        new Group(
            "Trims",
            List.of(
                lines(p + ".trims.listed", "Trims listed, one a line"),
                figure(p + ".trims.custom.least", "or any from", "4 x 6 in", "100 x 140 mm"),
                figure(p + ".trims.custom.most", "to", "8.5 x 11 in", "230 x 320 mm"))));
    List<Field> distances = new ArrayList<>();
    if (kind != Binding.EBOOK && !cased) {
      distances.add(figure(p + ".bleed", "Bleed", "0.125 in", "3 mm"));
    }
    distances.add(figure(p + ".safe.trim", "Safe from trim", "0.125 in", "5 mm"));
    if (kind != Binding.EBOOK) {
      distances.add(figure(p + ".safe.fold", "Safe from folds", "0.0625 in", "2 mm"));
      if (cased || kind == Binding.DUST_JACKET) {
        distances.add(figure(p + ".safe.hinge", "Safe from hinges", "0.125 in", "3 mm"));
      }
      distances.add(figure(p + ".safe.drift", "Trim drift", "0.0625 in", "1.5 mm"));
      distances.add(figure(p + ".blockBleed", "Bleed of inside pages", "0.125 in", "3 mm"));
    }
    groups.add(new Group("Distances", distances));
    if (kind == Binding.FLAPPED || kind == Binding.DUST_JACKET) {
      groups.add(
          new Group(
              "Flaps",
              List.of(
                  figure(p + ".flaps.least", "Narrowest", "3 in", "60 mm"),
                  figure(p + ".flaps.usual", "Usual", "3.5 in", "80 mm"),
                  figure(p + ".flaps.most", "Widest", "4 in", "110 mm"),
                  kind == Binding.FLAPPED
                      ? figure(p + ".foldAllowance", "Fold allowance a flap", "0.04 in", "1 mm")
                      : figure(
                          p + ".allowance",
                          "Allowance a panel for board and folds",
                          "0.0625 in",
                          "2 mm"))));
    }
    if (cased || kind == Binding.DUST_JACKET) {
      groups.add(caseGroup(p + ".case"));
    }
    if (kind != Binding.SADDLE_STITCHED && kind != Binding.EBOOK) {
      groups.add(
          new Group(
              "Words on the spine (left empty: none)",
              List.of(
                  figure(p + ".spineType.leastPages", "From pages", "80", "0"),
                  figure(p + ".spineType.leastWidth", "From a spine of", "0.25 in", "6 mm"),
                  figure(p + ".spineType.leastSize", "Smallest type", "7 pt", "7 pt"),
                  select(
                      p + ".spineType.direction",
                      "Direction",
                      option("", "not said"),
                      option("top-to-bottom", "top to bottom"),
                      option("bottom-to-top", "bottom to top")))));
    }
    if (kind != Binding.EBOOK) {
      groups.add(
          new Group(
              "Barcode area (left empty: none)",
              List.of(
                  figure(p + ".barcode.width", "Width", "2 in", "45 mm"),
                  figure(p + ".barcode.height", "Height", "1.2 in", "32 mm"),
                  figure(p + ".barcode.fromSide", "From the side", "0.25 in", "8 mm"),
                  figure(p + ".barcode.fromTail", "From the tail", "0.25 in", "8 mm"),
                  select(
                      p + ".barcode.corner",
                      "Corner",
                      option("", "not said"),
                      option("spine", "beside the spine"),
                      option("fore-edge", "at the fore-edge")),
                  select(
                      p + ".barcode.supplier",
                      "Printed by",
                      option("", "not said"),
                      option("designer", "the designer"),
                      option("house", "the house"),
                      option("either", "whoever does")))));
      groups.add(
          new Group(
              "Handing over",
              List.of(
                  check(p + ".inside", "prints the inside of the cover"),
                  figure(p + ".inside.glue", "Glue strip each side", "0.16 in", "4 mm"),
                  check(p + ".parts", "wants front, spine and back apart"),
                  figure(p + ".parts.foldBleed", "Bleed past the fold", "0.125 in", "3 mm"))));
      List<Field> cost = new ArrayList<>();
      cost.add(text(p + ".cost.currency", "Currency", "GBP"));
      cost.add(figure(p + ".cost.fixed", "Fixed, a copy", "0.95", "0.95"));
      for (Option ink : priced(p + ".cost.perPage")) {
        cost.add(
            figure(
                p + ".cost.perPage." + ink.value(), "A page, " + ink.label(), "0.0125", "0.0125"));
      }
      groups.add(new Group("Cost of one copy (left empty: not said)", cost));
    }
    return groups;
  }

  private Group caseGroup(String p) {
    return new Group(
        "Case",
        List.of(
            figure(p + ".turnIn", "Turn-in", "0.75 in", "17 mm"),
            figure(p + ".square", "Square all round", "0.125 in", "3 mm"),
            figure(p + ".headSquare", "or at the head", "", ""),
            figure(p + ".tailSquare", "at the tail", "", ""),
            figure(p + ".foreEdgeSquare", "at the fore-edge", "", ""),
            figure(p + ".jointGain", "Joint gain", "0 in", "-2 mm"),
            figure(p + ".hinge", "Hinge", "0.25 in", "8 mm"),
            check(p + ".hingeAdded", "added between face and spine")));
  }

  /** The inks that may have a price: the listed ones, and those that have one all the same. */
  private List<Option> priced(String prices) {
    List<Option> inks = new ArrayList<>(named("inks"));
    inks.removeIf(o -> !SheetEdit.isId(o.value()));
    if (at(prices) != null && at(prices).isObject()) {
      for (String id : at(prices).propertyNames()) {
        if (SheetEdit.isId(id) && inks.stream().noneMatch(o -> o.value().equals(id))) {
          inks.add(option(id, id + " (not listed)"));
        }
      }
    }
    return inks;
  }
}
