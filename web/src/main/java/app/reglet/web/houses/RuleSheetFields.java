package app.reglet.web.houses;

import app.reglet.core.book.Binding;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.house.grammar.Kind;
import app.reglet.core.house.grammar.PartType;
import app.reglet.web.houses.RuleSheetForm.BindingForm;
import app.reglet.web.houses.RuleSheetForm.Field;
import app.reglet.web.houses.RuleSheetForm.Group;
import app.reglet.web.houses.RuleSheetForm.Item;
import app.reglet.web.houses.RuleSheetForm.Option;
import app.reglet.web.houses.RuleSheetForm.RuleForm;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Lays the fields of a rule sheet out as a form; which there are the grammar says. */
final class RuleSheetFields {
  private static final String COUNTS = "Page counts";

  private final FormFields fields;
  private final boolean idIsFixed;

  RuleSheetFields(JsonNode root, boolean idIsFixed) {
    this.fields = new FormFields(root);
    this.idIsFixed = idIsFixed;
  }

  RuleSheetForm form() {
    List<Field> general = new ArrayList<>();
    for (app.reglet.core.house.grammar.Field f : Grammar.SHEET.fields()) {
      boolean object = f.kind() instanceof Kind.One;
      if (!object && !(idIsFixed && f.name().equals("id"))) {
        general.addAll(fields.of(f, "", "", ""));
      }
    }
    return new RuleSheetForm(
        general,
        rows("stocks"),
        rows("inks"),
        fields.items("bindings").stream().map(this::binding).toList(),
        fields.of(Grammar.type("files"), "files", ""),
        fields.items("examples").stream().map(this::example).toList(),
        addable());
  }

  private List<Option> addable() {
    List<String> there =
        fields.items("bindings").stream().map(p -> fields.valueAt(p + ".binding")).toList();
    return Arrays.stream(Binding.values())
        .filter(b -> !there.contains(b.id()) && fields.isShop() == b.isInPixels())
        .map(b -> new Option(b.id(), b.title(), false))
        .toList();
  }

  private List<Item> rows(String list) {
    PartType type = Grammar.type(list);
    return fields.items(list).stream().map(p -> new Item(p, fields.of(type, p, ""))).toList();
  }

  /** An example asks only for bindings of this sheet, and for a told spine where one is told. */
  private Item example(String path) {
    String variant = fields.valueAt(path + ".binding");
    List<Option> offered = new ArrayList<>();
    for (String b : fields.items("bindings")) {
      String id = fields.valueAt(b + ".binding");
      offered.add(new Option(id, title(id), id.equals(variant)));
    }
    List<Field> all = new ArrayList<>();
    for (Field f : fields.of(Grammar.type("examples"), path, variant)) {
      if (f.path().endsWith("].binding")) {
        if (!variant.isEmpty() && offered.stream().noneMatch(Option::chosen)) {
          offered.add(new Option(variant, title(variant) + " (not offered)", true));
        }
        all.add(new Field(f.path(), f.label(), f.kind(), f.value(), offered, f.hint()));
      } else if (!f.path().endsWith(".toldSpine") || !f.value().isEmpty() || told(variant)) {
        all.add(f);
      }
    }
    return new Item(path, all);
  }

  private boolean told(String binding) {
    return fields.items("bindings").stream()
        .filter(b -> fields.valueAt(b + ".binding").equals(binding))
        .flatMap(b -> fields.items(b + ".spine").stream())
        .anyMatch(r -> fields.valueAt(r + ".kind").equals("told"));
  }

  private static String title(String binding) {
    Binding known = Binding.byId(binding);
    return known == null ? binding : known.title();
  }

  private BindingForm binding(String path) {
    String variant = fields.valueAt(path + ".binding");
    PartType type = Grammar.type("bindings");
    Map<String, List<Field>> sections = new LinkedHashMap<>();
    for (app.reglet.core.house.grammar.Field f : type.fields()) {
      List<Field> shown = fields.of(f, path, variant, "");
      if (!shown.isEmpty()) {
        sections.computeIfAbsent(f.section(), s -> new ArrayList<>()).addAll(shown);
      }
    }
    List<Field> counts = sections.containsKey(COUNTS) ? sections.remove(COUNTS) : List.of();
    List<Item> limits = rows(path, "pages");
    boolean counted = type.field("pages").orElseThrow().isAsked(variant) || !limits.isEmpty();
    return new BindingForm(
        path,
        title(variant),
        fields.items(path + ".spine").stream().map(this::rule).toList(),
        counted,
        limits,
        counts,
        sections.entrySet().stream().map(s -> new Group(s.getKey(), s.getValue())).toList());
  }

  private List<Item> rows(String path, String list) {
    PartType type = Grammar.type("bindings." + list);
    return fields.items(path + "." + list).stream()
        .map(p -> new Item(p, fields.of(type, p, "")))
        .toList();
  }

  private RuleForm rule(String path) {
    String kind = fields.valueAt(path + ".kind");
    PartType type = Grammar.type("bindings.spine");
    boolean steps = type.field("rows").orElseThrow().of().contains(kind);
    return new RuleForm(path, fields.of(type, path, kind), steps, steps ? steps(path) : List.of());
  }

  /** The table's rows, with three empty ones to go on typing in. */
  private List<Item> steps(String path) {
    PartType type = Grammar.type("bindings.spine.rows");
    int there = fields.items(path + ".rows").size();
    List<Item> rows = new ArrayList<>();
    for (int i = 0; i < there + 3; i++) {
      String row = path + ".rows[" + i + "]";
      rows.add(new Item(row, fields.of(type, row, "")));
    }
    return rows;
  }
}
