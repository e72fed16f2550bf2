package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * A rule sheet's document as a form: groups of fields, each with its place in the document. Works
 * on any document, however far it has come.
 */
record SheetForm(
    List<Field> general,
    List<Item> stocks,
    List<Item> inks,
    List<BindingForm> bindings,
    List<Field> files,
    List<Item> examples,
    List<Option> addable) {

  /** How a field is shown. */
  enum Kind {
    TEXT,
    FIGURE,
    LINES,
    SELECT,
    CHECK,
    CHECKS
  }

  /** A choice: what is stored and what people read. */
  record Option(String value, String label, boolean chosen) {}

  /**
   * One field.
   *
   * @param path its place in the document
   * @param hint what usually stands there, or how to write it
   */
  record Field(
      String path, String label, Kind kind, String value, List<Option> options, String hint) {}

  /** A row of a list. */
  record Item(String path, List<Field> fields) {}

  /** One spine rule; the rows of its table when it is one of steps. */
  record RuleForm(String path, List<Field> fields, boolean steps, List<Item> rows) {}

  /** A titled group of fields. */
  record Group(String title, List<Field> fields) {}

  /** What the sheet says of one binding. */
  record BindingForm(
      String path, String title, List<RuleForm> rules, List<Item> limits, List<Group> groups) {}

  /** A complaint in the form's own words: the label of the field instead of its place. */
  public String sentence(Refusal problem) {
    String place = "“" + problem.field() + "”";
    String message = problem.getMessage();
    if (problem.field().isEmpty() || !message.startsWith(place)) {
      return message;
    }
    return label(problem.field()) + message.substring(place.length());
  }

  private String label(String path) {
    for (BindingForm b : bindings) {
      if (path.equals(b.path()) || path.startsWith(b.path() + ".")) {
        Stream<Field> fields =
            Stream.of(
                    b.rules().stream().flatMap(r -> r.fields().stream()),
                    b.limits().stream().flatMap(i -> i.fields().stream()),
                    b.groups().stream().flatMap(g -> g.fields().stream()))
                .flatMap(f -> f);
        return b.title() + ", " + named(path, fields, path.substring(b.path().length()));
      }
    }
    for (List<Item> items : List.of(stocks, inks, examples)) {
      for (int i = 0; i < items.size(); i++) {
        if (path.startsWith(items.get(i).path())) {
          String what = items == stocks ? "Paper " : items == inks ? "Ink " : "Example ";
          return what + (i + 1) + ", " + named(path, items.get(i).fields().stream(), "");
        }
      }
    }
    String own = named(path, Stream.concat(general.stream(), files.stream()), path);
    return own.substring(0, 1).toUpperCase(Locale.ROOT) + own.substring(1);
  }

  /**
   * The label of the field at a place, of the one that holds it, or of the first in it; else the
   * words given.
   */
  private static String named(String path, Stream<Field> fields, String otherwise) {
    List<Field> all = fields.toList();
    return all.stream()
        .filter(f -> path.equals(f.path()) || path.startsWith(f.path() + "["))
        .findFirst()
        .or(() -> all.stream().filter(f -> f.path().startsWith(path + ".")).findFirst())
        .map(f -> f.label().substring(0, 1).toLowerCase(Locale.ROOT) + f.label().substring(1))
        .orElseGet(
            () ->
                otherwise
                    .replaceAll("^\\.", "")
                    .replaceAll("(?<=[a-z])([A-Z])", " $1")
                    .toLowerCase(Locale.ROOT)
                    .replace('.', ' '));
  }

  /** The form of a document. */
  static SheetForm of(JsonNode root, boolean idIsFixed) {
    return new Draft(root, idIsFixed).form();
  }

  private static final class Draft {
    private final JsonNode root;
    private final boolean idIsFixed;
    private final boolean shop;
    private final boolean inches;

    Draft(JsonNode root, boolean idIsFixed) {
      this.root = root;
      this.idIsFixed = idIsFixed;
      String unit = text(root.get("unit"));
      this.shop = unit.equals("px");
      this.inches = unit.equals("in");
    }

    SheetForm form() {
      List<Field> general = new ArrayList<>();
      general.add(text("name", "Name", "as people say it"));
      if (!idIsFixed) {
        general.add(text("id", "Short name", "small letters, digits, hyphens"));
      }
      general.add(
          select(
              "unit",
              "States figures in",
              option("in", "inches"),
              option("mm", "millimetres"),
              option("px", "pixels (an ebook shop)")));
      general.add(text("about", "About", "a line for people"));
      List<BindingForm> bindings = new ArrayList<>();
      for (String path : items("bindings")) {
        bindings.add(binding(path));
      }
      return new SheetForm(
          general,
          stocks(),
          rows(
              "inks",
              p ->
                  List.of(
                      text(p + ".id", "Short name", "black"), text(p + ".name", "Name", "Black"))),
          bindings,
          files(),
          rows("examples", this::example),
          addable());
    }

    private List<Option> addable() {
      List<String> there = items("bindings").stream().map(p -> text(at(p + ".binding"))).toList();
      return Arrays.stream(Binding.values())
          .filter(b -> !there.contains(b.id()) && shop == (b == Binding.EBOOK))
          .map(b -> option(b.id(), b.title()))
          .toList();
    }

    private List<Item> stocks() {
      return rows(
          "stocks",
          p ->
              List.of(
                  text(p + ".id", "Short name", "cream"),
                  text(p + ".name", "Name", "Cream, 60 lb"),
                  select(
                      p + ".shade",
                      "Kind",
                      option("", "not said"),
                      option("white", "white"),
                      option("cream", "cream"),
                      option("coated", "coated"),
                      option("other", "other"))));
    }

    private BindingForm binding(String p) {
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

    private void rounding(String p, String label, List<Field> fields) {
      fields.add(figure(p + ".step", label, "0.0625 in", "0.5 mm"));
      fields.add(
          select(
              p + ".mode",
              "Which way",
              option("nearest", "to the nearest"),
              option("up", "up"),
              option("down", "down")));
    }

    /** Tick boxes for a list, where there is a choice or something is ticked. */
    private void chosenFrom(String list, String path, String label, List<Field> fields) {
      Field field = choices(path, label, named(list));
      boolean ticked = field.options().stream().anyMatch(Option::chosen);
      if (field.options().size() > 1 || ticked) {
        fields.add(field);
      }
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
                  p + ".cost.perPage." + ink.value(),
                  "A page, " + ink.label(),
                  "0.0125",
                  "0.0125"));
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

    private List<Field> files() {
      List<Field> fields = new ArrayList<>();
      fields.add(figure("files.tolerance", "Sheet tolerance, either way", "0.02 in", "0.5 mm"));
      rounding("files.sheetRounding", "Sheet stated to", fields);
      fields.add(figure("files.wantedPpi", "Pictures wanted, ppi", "300", "300"));
      fields.add(figure("files.leastPpi", "at least, ppi", "200", "200"));
      fields.add(figure("files.mostMegabytes", "Largest file, MB", "40", "40"));
      fields.add(
          choices(
              "files.formats",
              "Takes (none ticked: PDF)",
              List.of(
                  option("pdf", "PDF"),
                  option("jpeg", "JPEG"),
                  option("tiff", "TIFF"),
                  option("png", "PNG"))));
      return fields;
    }

    private List<Field> example(String p) {
      Binding kind = Binding.byId(text(at(p + ".binding")));
      List<Field> fields = new ArrayList<>();
      fields.add(
          select(
              p + ".binding",
              "Binding",
              items("bindings").stream()
                  .map(b -> text(at(b + ".binding")))
                  .map(id -> option(id, Binding.byId(id) == null ? id : Binding.byId(id).title()))
                  .toArray(Option[]::new)));
      fields.add(figure(p + ".trim", "Trim", "6 x 9 in", "A5"));
      if (kind != Binding.EBOOK) {
        fields.add(figure(p + ".pages", "Pages", "240", "320"));
        fields.add(select(p + ".stock", "Paper", withNone(named("stocks"))));
        fields.add(select(p + ".ink", "Ink", withNone(named("inks"))));
      }
      if (kind == Binding.FLAPPED || kind == Binding.DUST_JACKET) {
        fields.add(figure(p + ".frontFlap", "Front flap", "", ""));
        fields.add(figure(p + ".backFlap", "Back flap", "", ""));
      }
      if (told(text(at(p + ".binding")))) {
        fields.add(figure(p + ".toldSpine", "Spine as told", "", ""));
      }
      if (kind != Binding.EBOOK) {
        fields.add(figure(p + ".spine", "Spine printed there", "0.6141 in", "23.5 mm"));
      }
      fields.add(figure(p + ".sheet", "Sheet printed there", "13.05 x 9.25 in", "325.5 x 216 mm"));
      fields.add(text(p + ".source", "Where it stands", "Cover guide, page 4"));
      return fields;
    }

    private boolean told(String binding) {
      return items("bindings").stream()
          .filter(b -> text(at(b + ".binding")).equals(binding))
          .flatMap(b -> items(b + ".spine").stream())
          .anyMatch(r -> text(at(r + ".kind")).equals("told"));
    }

    private static Option[] withNone(List<Option> options) {
      List<Option> all = new ArrayList<>(List.of(new Option("", "the first", false)));
      all.addAll(options);
      return all.toArray(Option[]::new);
    }

    private List<Option> named(String list) {
      return items(list).stream()
          .map(p -> option(text(at(p + ".id")), text(at(p + ".name"))))
          .filter(o -> !o.value().isEmpty())
          .toList();
    }

    private List<Item> rows(String list, java.util.function.Function<String, List<Field>> fields) {
      return items(list).stream().map(p -> new Item(p, fields.apply(p))).toList();
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

    /** The paths of a list's items. */
    private List<String> items(String list) {
      JsonNode found = at(list);
      List<String> paths = new ArrayList<>();
      for (int i = 0; found != null && found.isArray() && i < found.size(); i++) {
        paths.add(list + "[" + i + "]");
      }
      return paths;
    }

    private JsonNode at(String path) {
      return SheetPath.parse(path).in(root);
    }

    private static String text(JsonNode node) {
      return node == null || node.isContainer() || node.isNull() ? "" : node.asString();
    }

    private Field text(String path, String label, String hint) {
      return new Field(path, label, Kind.TEXT, text(at(path)), List.of(), hint);
    }

    private Field figure(String path, String label, String hintInches, String hintMetric) {
      return new Field(
          path,
          label,
          Kind.FIGURE,
          text(at(path)),
          List.of(),
          shop || hintInches.isEmpty() ? "" : "e.g. " + (inches ? hintInches : hintMetric));
    }

    private Field lines(String path, String label) {
      JsonNode found = at(path);
      String value =
          found != null && found.isArray()
              ? String.join("\n", found.values().stream().map(Draft::text).toList())
              : text(found);
      return new Field(path, label, Kind.LINES, value, List.of(), "");
    }

    private Field check(String path, String label) {
      JsonNode found = at(path);
      boolean on = found != null && (found.isObject() || found.asBoolean(false));
      return new Field(path, label, Kind.CHECK, on ? "on" : "", List.of(), "");
    }

    private static Option option(String value, String label) {
      return new Option(value, label, false);
    }

    private Field select(String path, String label, Option... options) {
      String value = text(at(path));
      List<Option> all = new ArrayList<>();
      boolean known = value.isEmpty();
      for (Option o : options) {
        known |= o.value().equals(value);
        all.add(new Option(o.value(), o.label(), o.value().equals(value)));
      }
      if (!known) {
        all.add(new Option(value, value + " (unknown)", true));
      }
      return new Field(path, label, Kind.SELECT, value, all, "");
    }

    private Field choices(String path, String label, List<Option> options) {
      JsonNode found = at(path);
      List<String> chosen =
          found != null && found.isArray()
              ? found.values().stream().map(Draft::text).toList()
              : List.of();
      List<Option> all = new ArrayList<>();
      for (Option o : options) {
        all.add(new Option(o.value(), o.label(), chosen.contains(o.value())));
      }
      for (String c : chosen) {
        if (options.stream().noneMatch(o -> o.value().equals(c))) {
          all.add(new Option(c, c + " (not listed)", true));
        }
      }
      return new Field(path, label, Kind.CHECKS, "", all, "");
    }
  }
}
