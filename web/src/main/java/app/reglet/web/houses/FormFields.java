package app.reglet.web.houses;

import app.reglet.core.house.grammar.Kind;
import app.reglet.core.house.grammar.PartType;
import app.reglet.web.houses.RuleSheetForm.Field;
import app.reglet.web.houses.RuleSheetForm.Option;
import java.util.ArrayList;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** Makes the fields of a form from the grammar and from what stands in a document. */
final class FormFields {
  private final JsonNode root;
  private final boolean shop;
  private final boolean inches;

  FormFields(JsonNode root) {
    this.root = root;
    String unit = text(root.get("unit"));
    this.shop = unit.equals("px");
    this.inches = unit.equals("in");
  }

  /** Whether covers are measured in pixels. */
  boolean isShop() {
    return shop;
  }

  /** The fields of an object at a place, those of objects in it among them. */
  List<Field> of(PartType type, String path, String variant) {
    List<Field> fields = new ArrayList<>();
    type.fields().forEach(f -> fields.addAll(of(f, path, variant, "")));
    return fields;
  }

  /**
   * The fields of a form that stand for one of the grammar: none where it is not asked for, and
   * nothing stands there that must be mended.
   */
  List<Field> of(
      app.reglet.core.house.grammar.Field field, String path, String variant, String outerLabel) {
    String place = path.isEmpty() ? field.name() : path + "." + field.name();
    String label = field.label().isEmpty() ? outerLabel : field.label();
    boolean holds = field.kind() instanceof Kind.One || field.kind() instanceof Kind.Prices;
    if (!field.isAsked(variant) && at(place) == null || label.isEmpty() && !holds) {
      return List.of();
    }
    return field.kind().accept(new AsFields(field, place, variant, label));
  }

  private final class AsFields implements Kind.Visitor<List<Field>> {
    private final app.reglet.core.house.grammar.Field field;
    private final String place;
    private final String variant;
    private final String label;

    private AsFields(
        app.reglet.core.house.grammar.Field field, String place, String variant, String label) {
      this.field = field;
      this.place = place;
      this.variant = variant;
      this.label = label;
    }

    private List<Field> shown(RuleSheetForm.Kind kind, String value, List<Option> options) {
      return List.of(new Field(place, label, kind, value, options, hint()));
    }

    private String hint() {
      if (field.hint().isEmpty()) {
        return "";
      }
      boolean words = field.kind() instanceof Kind.Text && field.hint().equals(field.metricHint());
      return words
          ? field.hint()
          : shop ? "" : "e.g. " + (inches ? field.hint() : field.metricHint());
    }

    private List<Field> figure() {
      return shown(RuleSheetForm.Kind.FIGURE, FormFields.text(at(place)), List.of());
    }

    @Override
    public List<Field> text(Kind.Text kind) {
      return shown(RuleSheetForm.Kind.TEXT, FormFields.text(at(place)), List.of());
    }

    @Override
    public List<Field> count(Kind.Count kind) {
      return figure();
    }

    @Override
    public List<Field> decimal(Kind.Decimal kind) {
      return figure();
    }

    @Override
    public List<Field> length(Kind.LengthText kind) {
      return figure();
    }

    @Override
    public List<Field> size(Kind.SizeText kind) {
      return figure();
    }

    @Override
    public List<Field> sizes(Kind.Sizes kind) {
      JsonNode found = at(place);
      String value =
          found != null && found.isArray()
              ? String.join("\n", found.values().stream().map(FormFields::text).toList())
              : FormFields.text(found);
      return shown(RuleSheetForm.Kind.LINES, value, List.of());
    }

    @Override
    public List<Field> choice(Kind.Choice kind) {
      List<Option> options = new ArrayList<>();
      if (!field.required()) {
        options.add(new Option("", "not said", false));
      }
      kind.options().forEach(o -> options.add(new Option(o.value(), o.label(), false)));
      return select(options);
    }

    @Override
    public List<Field> name(Kind.Name kind) {
      List<Option> options = new ArrayList<>(List.of(new Option("", "the first", false)));
      options.addAll(named(kind.list()));
      return select(options);
    }

    private List<Field> select(List<Option> options) {
      String value = FormFields.text(at(place));
      List<Option> all = new ArrayList<>();
      boolean known = value.isEmpty();
      for (Option o : options) {
        known |= o.value().equals(value);
        all.add(new Option(o.value(), o.label(), o.value().equals(value)));
      }
      if (!known) {
        all.add(new Option(value, value + " (unknown)", true));
      }
      return shown(RuleSheetForm.Kind.SELECT, value, all);
    }

    @Override
    public List<Field> several(Kind.Several kind) {
      return ticks(
          kind.options().stream().map(o -> new Option(o.value(), o.label(), false)).toList());
    }

    /** Tick boxes for a list, where there is a choice or something is ticked. */
    @Override
    public List<Field> names(Kind.Names kind) {
      List<Field> ticks = ticks(named(kind.list()));
      List<Option> options = ticks.get(0).options();
      return options.size() > 1 || options.stream().anyMatch(Option::chosen) ? ticks : List.of();
    }

    private List<Field> ticks(List<Option> options) {
      JsonNode found = at(place);
      List<String> chosen =
          found != null && found.isArray()
              ? found.values().stream().map(FormFields::text).toList()
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
      return shown(RuleSheetForm.Kind.CHECKS, "", all);
    }

    @Override
    public List<Field> flag(Kind.Flag kind) {
      return check();
    }

    private List<Field> check() {
      JsonNode found = at(place);
      boolean on = found != null && (found.isObject() || found.asBoolean(false));
      return shown(RuleSheetForm.Kind.CHECK, on ? "on" : "", List.of());
    }

    /** A field for each listed name, and for each that has a price all the same. */
    @Override
    public List<Field> prices(Kind.Prices kind) {
      List<Option> names = new ArrayList<>(named(kind.list()));
      names.removeIf(o -> !RuleSheetEdit.isId(o.value()));
      JsonNode there = at(place);
      if (there != null && there.isObject()) {
        for (String id : there.propertyNames()) {
          if (RuleSheetEdit.isId(id) && names.stream().noneMatch(o -> o.value().equals(id))) {
            names.add(new Option(id, id + " (not listed)", false));
          }
        }
      }
      List<Field> fields = new ArrayList<>();
      for (Option name : names) {
        String path = place + "." + name.value();
        fields.add(
            new Field(
                path,
                label + ", " + name.label(),
                RuleSheetForm.Kind.FIGURE,
                FormFields.text(at(path)),
                List.of(),
                hint()));
      }
      return fields;
    }

    @Override
    public List<Field> part(Kind.One kind) {
      List<Field> fields = new ArrayList<>();
      if (kind.says()) {
        fields.addAll(check());
      }
      kind.type()
          .fields()
          .forEach(f -> fields.addAll(of(f, place, variant, kind.says() ? "" : label)));
      return fields;
    }

    /** Lists of objects have rows of their own. */
    @Override
    public List<Field> parts(Kind.Many kind) {
      return List.of();
    }
  }

  /** What a list defines: short names and names. */
  List<Option> named(String list) {
    return items(list).stream()
        .map(p -> new Option(text(at(p + ".id")), text(at(p + ".name")), false))
        .filter(o -> !o.value().isEmpty())
        .toList();
  }

  /** The paths of a list's items. */
  List<String> items(String list) {
    JsonNode found = at(list);
    List<String> paths = new ArrayList<>();
    for (int i = 0; found != null && found.isArray() && i < found.size(); i++) {
      paths.add(list + "[" + i + "]");
    }
    return paths;
  }

  JsonNode at(String path) {
    return RuleSheetPath.parse(path).in(root);
  }

  /** What stands at a place as text, empty for nothing and for what is no single value. */
  String valueAt(String path) {
    return text(at(path));
  }

  private static String text(JsonNode node) {
    return node == null || node.isContainer() || node.isNull() ? "" : node.asString();
  }
}
