package app.reglet.web.houses;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Binding;
import app.reglet.core.house.RuleSheetDocument;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.house.grammar.Field;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.house.grammar.Kind;
import app.reglet.core.house.grammar.PartType;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A rule sheet's document as a form and back. */
public class RuleFormTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static ObjectNode tree(String id) {
    return (ObjectNode) RuleSheetDocument.parse(ShippedRuleSheets.text(id).orElseThrow());
  }

  /** What a browser sends of a form that nobody has touched. */
  private static Map<String, String[]> sent(RuleSheetForm form) {
    Map<String, String[]> sent = new LinkedHashMap<>();
    fields(form)
        .forEach(
            f -> {
              switch (f.kind()) {
                case CHECK -> {
                  if (f.value().equals("on")) {
                    sent.put(f.path(), new String[] {"on"});
                  }
                  sent.put("_" + f.path(), new String[] {""});
                }
                case CHECKS -> {
                  String[] ticked =
                      f.options().stream()
                          .filter(RuleSheetForm.Option::chosen)
                          .map(RuleSheetForm.Option::value)
                          .toArray(String[]::new);
                  if (ticked.length > 0) {
                    sent.put(f.path(), ticked);
                  }
                  sent.put("_" + f.path(), new String[] {""});
                }
                case SELECT -> {
                  // nothing chosen: a browser sends the first
                  String value =
                      f.options().stream().anyMatch(RuleSheetForm.Option::chosen)
                          ? f.value()
                          : f.options().isEmpty() ? null : f.options().get(0).value();
                  if (value != null) {
                    sent.put(f.path(), new String[] {value});
                  }
                }
                default -> sent.put(f.path(), new String[] {f.value()});
              }
            });
    return sent;
  }

  private static Stream<RuleSheetForm.Field> fields(RuleSheetForm form) {
    List<RuleSheetForm.Field> all = new ArrayList<>(form.general());
    form.stocks().forEach(i -> all.addAll(i.fields()));
    form.inks().forEach(i -> all.addAll(i.fields()));
    form.bindings()
        .forEach(
            b -> {
              b.rules()
                  .forEach(
                      r -> {
                        all.addAll(r.fields());
                        r.rows().forEach(i -> all.addAll(i.fields()));
                      });
              b.limits().forEach(i -> all.addAll(i.fields()));
              all.addAll(b.counts());
              b.groups().forEach(g -> all.addAll(g.fields()));
            });
    all.addAll(form.files());
    form.examples().forEach(i -> all.addAll(i.fields()));
    return all.stream();
  }

  @DataProvider
  Object[][] shipped() {
    return ShippedRuleSheets.ids().stream().map(id -> new Object[] {id}).toArray(Object[][]::new);
  }

  /** A sheet shown as a form and saved untouched says the same as before. */
  @Test(dataProvider = "shipped")
  public void anUntouchedFormChangesNothing(String id) {
    ObjectNode root = tree(id);
    RuleSheetForm form = RuleSheetForm.of(root, false);
    new RuleSheetEdit(root).take(sent(form));
    assertThat(RuleSheetReader.read(JSON.writeValueAsString(root)))
        .isEqualTo(RuleSheetReader.read(ShippedRuleSheets.text(id).orElseThrow()));
  }

  /** Every value of a document has a field: nothing of a sheet can only be changed as JSON. */
  @Test(dataProvider = "shipped")
  public void everyValueHasItsField(String id) {
    ObjectNode root = tree(id);
    List<String> shown =
        fields(RuleSheetForm.of(root, false)).map(RuleSheetForm.Field::path).toList();
    for (String leaf : leaves(root, "")) {
      boolean fixed = leaf.equals("format") || leaf.matches("bindings\\[\\d+]\\.binding");
      assertThat(fixed || shown.contains(leaf) || shown.contains(leaf.replaceAll("\\[\\d+]$", "")))
          .as(leaf)
          .isTrue();
    }
  }

  /** A field added to the grammar stands in the form without another line of code. */
  @Test
  public void everyFieldOfTheGrammarIsAskedForSomewhere() {
    ObjectNode root = tree("gannet-and-gauge");
    // all bindings, each with every kind of spine rule, and two papers and inks to choose from
    root.withArray("inks").addObject().put("id", "colour").put("name", "Colour");
    root.putArray("bindings");
    for (Binding b : Binding.values()) {
      ObjectNode binding = root.withArray("bindings").addObject().put("binding", b.id());
      for (Kind.Option kind :
          ((Kind.Choice) Grammar.at("bindings.spine.kind").orElseThrow().kind()).options()) {
        binding.withArray("spine").addObject().put("kind", kind.value());
      }
      binding.withArray("pages").addObject();
      root.withArray("examples").addObject().put("binding", b.id());
    }
    List<String> shown =
        fields(RuleSheetForm.of(root, false))
            .map(f -> RuleSheetPath.parse(f.path()).kind())
            .toList();
    List<String> missing = new ArrayList<>(places(Grammar.SHEET, ""));
    assertThat(missing).contains("bindings.odd", "files.pageSize", "bindings.spine.rows.width");
    missing.removeIf(p -> shown.contains(p) || shown.stream().anyMatch(s -> s.startsWith(p + ".")));
    // what says which document and which binding it is can't be changed in a form
    assertThat(missing).containsExactlyInAnyOrder("format", "bindings.binding");
  }

  private static List<String> places(PartType type, String at) {
    List<String> found = new ArrayList<>();
    for (Field f : type.fields()) {
      String place = at.isEmpty() ? f.name() : at + "." + f.name();
      if (f.kind() instanceof Kind.One one) {
        found.addAll(places(one.type(), place));
      } else if (f.kind() instanceof Kind.Many many) {
        found.addAll(places(many.type(), place));
      } else {
        found.add(place);
      }
    }
    return found;
  }

  private static List<String> leaves(JsonNode node, String at) {
    List<String> found = new ArrayList<>();
    if (node.isObject() && !node.isEmpty()) {
      node.propertyNames()
          .forEach(n -> found.addAll(leaves(node.get(n), at.isEmpty() ? n : at + "." + n)));
    } else if (node.isArray()) {
      for (int i = 0; i < node.size(); i++) {
        found.addAll(leaves(node.get(i), at + "[" + i + "]"));
      }
    } else {
      found.add(at);
    }
    return found;
  }

  private static ObjectNode edited(String id, String... namesAndValues) {
    ObjectNode root = tree(id);
    Map<String, String[]> form = new LinkedHashMap<>();
    for (int i = 0; i < namesAndValues.length; i += 2) {
      form.put(namesAndValues[i], new String[] {namesAndValues[i + 1]});
    }
    new RuleSheetEdit(root).take(form);
    return root;
  }

  @Test
  public void whatCanNotBeReadStaysAsTyped() {
    ObjectNode root =
        edited(
            "gannet-and-gauge",
            "bindings[0].pages[0].least",
            "many",
            "bindings[0].bleed",
            "wide",
            "bindings[0].cost.fixed",
            "1.2.3");
    assertThat(root.at("/bindings/0/pages/0/least").stringValue()).isEqualTo("many");
    assertThat(root.at("/bindings/0/bleed").stringValue()).isEqualTo("wide");
    assertThat(root.at("/bindings/0/cost/fixed").stringValue()).isEqualTo("1.2.3");
    assertThat(RuleSheetReader.problems(JSON.writeValueAsString(root)))
        .extracting(Refusal::field)
        .contains("bindings[0].pages[0].least", "bindings[0].bleed", "bindings[0].cost.fixed");
  }

  @Test
  public void numbersAreReadInEveryScript() {
    ObjectNode root =
        edited(
            "gannet-and-gauge",
            "bindings[0].pages[0].most",
            "８４２",
            "bindings[0].cost.fixed",
            "1,05",
            "files.wantedPpi",
            "1 200");
    assertThat(root.at("/bindings/0/pages/0/most").intValue()).isEqualTo(842);
    assertThat(root.at("/bindings/0/cost/fixed").decimalValue()).isEqualByComparingTo("1.05");
    assertThat(root.at("/files/wantedPpi").intValue()).isEqualTo(1200);
  }

  @Test
  public void emptiedFieldsGoAndTakeTheirObjectWithThem() {
    ObjectNode root =
        edited(
            "gannet-and-gauge",
            "bindings[0].barcode.width",
            "",
            "bindings[0].barcode.height",
            "",
            "bindings[0].barcode.fromSide",
            "",
            "bindings[0].barcode.fromTail",
            "",
            "bindings[0].barcode.corner",
            "",
            "bindings[0].barcode.supplier",
            "",
            "files.sheetRounding.step",
            "");
    assertThat(root.at("/bindings/0/barcode").isMissingNode()).isTrue();
    // a direction alone rounds nothing
    assertThat(root.at("/files/sheetRounding").isMissingNode()).isTrue();
    assertThat(RuleSheetReader.problems(JSON.writeValueAsString(root))).isEmpty();
  }

  @Test
  public void anotherKindOfRuleDropsWhatBelongedToTheFirst() {
    ObjectNode root =
        edited(
            "gannet-and-gauge",
            "bindings[0].spine[0].kind",
            "paper-ppi",
            "bindings[0].spine[0].pagesPerInch",
            "444");
    assertThat(root.at("/bindings/0/spine/0/perPage").isMissingNode()).isTrue();
    assertThat(root.at("/bindings/0/spine/0/stocks/0").stringValue()).isEqualTo("white");
    assertThat(RuleSheetReader.problems(JSON.writeValueAsString(root))).isEmpty();
  }

  @Test
  public void untickedBoxesGo() {
    ObjectNode root = tree("osier-row");
    new RuleSheetEdit(root)
        .take(
            Map.of(
                "_bindings[0].inside", new String[] {""},
                "bindings[1].inside", new String[] {"on"},
                "_bindings[1].inside", new String[] {""},
                "_bindings[0].spine[0].stocks", new String[] {""}));
    assertThat(root.at("/bindings/0/inside").isMissingNode()).isTrue();
    assertThat(root.at("/bindings/1/inside/glue").stringValue()).isEqualTo("4 mm");
    assertThat(root.at("/bindings/0/spine/0/stocks").isMissingNode()).isTrue();
  }

  @DataProvider
  Object[][] pasted() {
    return new Object[][] {
      // what is pasted, into which row and column, the cells that must stand there then
      {"76\t100\t0.5 in\n101\t130\t0.563 in", 0, 0, "76,100,0.5 in;101,130,0.563 in"},
      {"76–100\t0.5 in\r\n101–130\t0.563 in\r\n", 0, 0, "76,100,0.5 in;101,130,0.563 in"},
      {"76 - 100;0,5 in", 0, 0, "76,100,0,5 in"},
      {"0.6 in\n0.7 in", 1, 2, "76,100,0.5 in;101,130,0.6 in;131,160,0.7 in"},
      {"a\tb\tc\td\te", 0, 0, "a,b,c"},
      {"\n\n80\t90\t1 mm\n\n", 0, 0, "80,90,1 mm"},
    };
  }

  @Test(dataProvider = "pasted")
  public void aRangeFromASpreadsheetFillsTheTable(
      String text, int row, int column, String expected) {
    ObjectNode root = tree("dunlin-casebinders");
    new RuleSheetEdit(root)
        .act(
            "paste bindings[0].spine[0] " + row + " " + column,
            Map.of("pasted", new String[] {text}));
    String[] rows = expected.split(";");
    for (int i = 0; i < rows.length; i++) {
      JsonNode cells = root.at("/bindings/0/spine/0/rows/" + i);
      assertThat(
              cells.get("from").asString()
                  + ","
                  + cells.get("to").asString()
                  + ","
                  + cells.get("width").asString())
          .isEqualTo(rows[i]);
    }
    // the rows below are left as they were
    assertThat(root.at("/bindings/0/spine/0/rows/10/to").intValue()).isEqualTo(400);
  }

  @Test
  public void buttonsAddDropAndMove() {
    ObjectNode root = tree("gannet-and-gauge");
    RuleSheetEdit edit = new RuleSheetEdit(root);
    edit.act("add bindings", Map.of("newBinding", new String[] {"saddle-stitched"}));
    assertThat(root.at("/bindings/1/spine/0/kind").stringValue()).isEqualTo("none");
    edit.act("add stocks", Map.of());
    assertThat(root.at("/stocks").size()).isEqualTo(3);
    edit.act("drop stocks[2]", Map.of());
    assertThat(root.at("/stocks").size()).isEqualTo(2);
    edit.act("up bindings[0].spine[1]", Map.of());
    assertThat(root.at("/bindings/0/spine/0/stocks/0").stringValue()).isEqualTo("cream");
    edit.act("up bindings[0].spine[0]", Map.of()); // the first stays
    edit.act("drop bindings[7]", Map.of()); // nothing there
    edit.act("add examples", Map.of());
    assertThat(root.at("/examples/3/binding").stringValue()).isEqualTo("perfect-bound");
    assertThatThrownBy(() -> edit.act("add bindings", Map.of("newBinding", new String[] {"glued"})))
        .isInstanceOf(Refusal.class);
  }

  @Test
  public void complaintsUseTheFormsWords() {
    ObjectNode root =
        edited(
            "sandling-and-daughters",
            "bindings[2].case.turnIn",
            "x",
            "bindings[1].flaps.usual",
            "",
            "stocks[1].name",
            "",
            "examples[2].trim",
            "",
            "files.tolerance",
            "");
    RuleSheetForm form = RuleSheetForm.of(root, false);
    List<String> said =
        RuleSheetReader.problems(JSON.writeValueAsString(root)).stream()
            .map(form::sentence)
            .toList();
    assertThat(said)
        .anyMatch(s -> s.startsWith("Case laminate, turn-in is no length."))
        .anyMatch(s -> s.equals("Flapped paperback, usual is missing."))
        .anyMatch(s -> s.equals("Paper 2, name is missing."))
        .anyMatch(s -> s.equals("Example 3, trim is missing."))
        .anyMatch(s -> s.equals("Sheet tolerance, either way is missing."));
    assertThat(said).noneMatch(s -> s.contains("["));
  }

  @DataProvider
  Object[][] noPlaces() {
    return new Object[][] {
      {""}, {"."}, {"a..b"}, {"[1"}, {"a[x]"}, {"a[99999]"}, {"a b"}, {"../x"}, {"a.".repeat(40)}
    };
  }

  @Test(dataProvider = "noPlaces")
  public void whatIsNoPlaceIsRefused(String text) {
    assertThatThrownBy(() -> RuleSheetPath.parse(text)).isInstanceOf(Refusal.class);
  }

  @Test
  public void listsDoNotGrowWithoutEnd() {
    ObjectNode root = tree("dunlin-casebinders");
    assertThatThrownBy(
            () ->
                new RuleSheetEdit(root)
                    .take(Map.of("bindings[0].spine[0].rows[9000].from", new String[] {"1"})))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("2000");
  }
}
