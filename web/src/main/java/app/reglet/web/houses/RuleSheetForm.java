package app.reglet.web.houses;

import app.reglet.core.Refusal;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/**
 * A rule sheet's document as a form: groups of fields, each with its place in the document. Works
 * on any document, however far it has come.
 */
record RuleSheetForm(
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

  /**
   * What the sheet says of one binding.
   *
   * @param counted whether page counts are asked for
   * @param limits rows of page limits
   * @param counts what else is said of counts
   */
  record BindingForm(
      String path,
      String title,
      List<RuleForm> rules,
      boolean counted,
      List<Item> limits,
      List<Field> counts,
      List<Group> groups) {}

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
                    b.counts().stream(),
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
  static RuleSheetForm of(JsonNode root, boolean idIsFixed) {
    return new RuleSheetFields(root, idIsFixed).form();
  }
}
