package app.reglet.web.houses;

import app.reglet.core.book.Binding;
import app.reglet.web.houses.SheetForm.BindingForm;
import app.reglet.web.houses.SheetForm.Field;
import app.reglet.web.houses.SheetForm.Item;
import app.reglet.web.houses.SheetForm.Option;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import tools.jackson.databind.JsonNode;

/** The fields of a whole rule sheet. */
final class SheetFields extends FormFields {
  private final boolean idIsFixed;

  SheetFields(JsonNode root, boolean idIsFixed) {
    super(root);
    this.idIsFixed = idIsFixed;
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
    BindingFields each = new BindingFields(root);
    List<BindingForm> bindings = new ArrayList<>();
    for (String path : items("bindings")) {
      bindings.add(each.binding(path));
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
}
