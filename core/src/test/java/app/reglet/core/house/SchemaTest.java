package app.reglet.core.house;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.core.Refusal;
import app.reglet.core.house.grammar.RuleSheetSchema;
import app.reglet.testing.Extent;
import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The published schema, as an independent validator of JSON Schema 2020-12 reads it. */
public class SchemaTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Schema SCHEMA = schema();

  private static Schema schema() {
    return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
        .getSchema(RuleSheetSchema.write());
  }

  private static List<Error> judge(String json) {
    return SCHEMA.validate(json, InputFormat.JSON);
  }

  @DataProvider
  Object[][] shipped() {
    return Houses.ids().stream().map(id -> new Object[] {id}).toArray(Object[][]::new);
  }

  @DataProvider
  Object[][] someShipped() {
    return Extent.of(3, shipped());
  }

  /** A shipped sheet; Gannet's with the fields that no shipped sheet uses. */
  private static String text(String id) {
    String text = Houses.text(id);
    return id.equals("gannet-and-gauge")
        ? text.replace("\"tolerance\":", "\"pageSize\": \"stated\", \"tolerance\":")
            .replaceFirst("\"spine\": \\[", "\"odd\": \"refuse\", \"spine\": [")
        : text;
  }

  @Test(dataProvider = "shipped")
  public void shippedSheetsAreValid(String id) {
    assertThat(judge(text(id))).isEmpty();
  }

  /** What the schema refuses the reader refuses too: each field in turn missing, renamed or odd. */
  @Test(dataProvider = "someShipped")
  public void whatTheSchemaRefusesTheReaderRefuses(String id) {
    int refused = 0;
    for (Mutation m : mutations(id)) {
      boolean invalid = !judge(m.json()).isEmpty();
      boolean read = reads(m.json());
      if (invalid) {
        refused++;
        assertThat(read).as("schema refuses, reader takes: " + m.what()).isFalse();
      }
    }
    assertThat(refused).isGreaterThan(40);
  }

  private record Mutation(String what, String json) {}

  private static boolean reads(String json) {
    try {
      RuleSheetReader.read(json);
      return true;
    } catch (Refusal r) {
      assertThat(r.getMessage()).isNotBlank();
      return false;
    }
  }

  private static List<Mutation> mutations(String id) {
    JsonNode original = JSON.readTree(text(id));
    List<Mutation> all = new ArrayList<>();
    for (String path : paths(original, "")) {
      for (Object odd :
          new Object[] {
            "gone", "renamed", "", -1, 1_000_000_000, 1e9, true, "x y", List.of(), "1e400"
          }) {
        JsonNode copy = original.deepCopy();
        int slash = path.lastIndexOf('/');
        JsonNode parent = copy.at(path.substring(0, slash));
        String last = path.substring(slash + 1);
        change(parent, last, odd);
        all.add(new Mutation(path + " " + odd, copy.toString()));
      }
    }
    return all;
  }

  private static void change(JsonNode parent, String last, Object odd) {
    JsonNode value =
        odd instanceof List<?>
            ? JSON.createArrayNode().add(7)
            : odd instanceof Integer i
                ? JSON.getNodeFactory().numberNode(i)
                : odd instanceof Double d
                    ? JSON.getNodeFactory().numberNode(d)
                    : odd instanceof Boolean b
                        ? JSON.getNodeFactory().booleanNode(b)
                        : JSON.getNodeFactory().stringNode(odd.toString());
    if (parent instanceof ObjectNode object) {
      if ("gone".equals(odd)) {
        object.remove(last);
      } else if ("renamed".equals(odd)) {
        object.set(last + "s", object.remove(last));
      } else {
        object.set(last, value);
      }
    } else if (parent instanceof ArrayNode array) {
      if ("gone".equals(odd)) {
        array.remove(Integer.parseInt(last));
      } else {
        array.set(Integer.parseInt(last), value);
      }
    }
  }

  private static List<String> paths(JsonNode node, String at) {
    List<String> paths = new ArrayList<>();
    if (node instanceof ObjectNode object) {
      for (String name : object.propertyNames()) {
        paths.add(at + "/" + name);
        paths.addAll(paths(object.get(name), at + "/" + name));
      }
    } else if (node instanceof ArrayNode array) {
      for (int i = 0; i < Math.min(2, array.size()); i++) {
        paths.add(at + "/" + i);
        paths.addAll(paths(array.get(i), at + "/" + i));
      }
    }
    return paths;
  }

  @DataProvider
  Object[][] contradictions() {
    return new Object[][] {
      // what is replaced in the sheet, by what, what the sentence must name
      {"\"mm\"", "\"px\"", "binding"},
      {"\"volume\": 18,", "\"volume\": 18, \"bulk\": 1.8,", "one fact told twice"},
      {"\"least\": 48, \"most\": 960", "\"least\": 960, \"most\": 48", "most"},
      {"\"stocks\": [\"bulky-80\"]", "\"stocks\": [\"bulky-81\"]", "bulky-81"},
      {"\"id\": \"offset-100\"", "\"id\": \"bulky-80\"", "twice"},
      {"\"bleed\": \"3 mm\"", "\"bleed\": \"3 m\"", "no unit Reglet knows"},
      {"\"bleed\": \"3 mm\"", "\"bleed\": \"٣ mm\", \"bleed2\": 1", "bleed2"},
      {"\"bleed\": \"3 mm\"", "\"bleed\": \"2000 mm\"", "1500 mm"},
      {"\"bleed\": \"3 mm\"", "\"bleed\": \"-3 mm\"", "negative"},
      {"\"gsm\": 80", "\"gsm\": 0", "above 0"},
      {"\"usual\": \"75 mm\"", "\"usual\": \"750 mm\"", "between"},
      {"\"currency\": \"GBP\"", "\"currency\": \"pounds\"", "ISO 4217"},
      {"\"perPage\": { \"black\": 0.0064 }", "\"perPage\": { \"green\": 0.0064 }", "green"},
      {"\"perPage\": { \"black\": 0.0064 }", "\"perPage\": { \"black\": -1 }", "0 or more"},
      {
        "\"kind\": \"grammage-bulk\", \"gsm\": 80, \"volume\": 18,",
        "\"kind\": \"none\",",
        "has a spine"
      },
      {"\"binding\": \"flapped\",\n", "\"binding\": \"perfect-bound\",\n", "flaps"},
    };
  }

  @Test(dataProvider = "contradictions")
  public void contradictionsAreNamed(String what, String by, String named) {
    String json = Houses.text("osier-row");
    assertThat(json).contains(what);
    List<Refusal> problems =
        RuleSheetReader.problems(
            json.replaceFirst(
                java.util.regex.Pattern.quote(what), java.util.regex.Matcher.quoteReplacement(by)));
    assertThat(problems).isNotEmpty();
    assertThat(problems.toString() + problems.stream().map(Refusal::getMessage).toList())
        .contains(named);
    assertThat(problems.get(0).getMessage()).endsWith(".");
  }

  @Test
  public void everyPartTellsItsOwnProblem() {
    String json =
        Houses.text("osier-row")
            .replace("\"bleed\": \"3 mm\"", "\"bleed\": \"x\"")
            .replace("\"tolerance\": \"0.5 mm\"", "\"tolerance\": \"y\"")
            .replace("\"spine\": \"16 mm\"", "\"pages2\": 7, \"spine\": \"16 mm\"");
    assertThat(RuleSheetReader.problems(json))
        .extracting(Refusal::field)
        .contains("bindings[0].bleed", "bindings[1].bleed", "files.tolerance");
  }

  @Test
  public void deepOrHugeDocumentsAreRefusedInASentence() {
    assertThat(RuleSheetReader.problems("[".repeat(100_000)).get(0)).hasMessageContaining("JSON");
    assertThat(RuleSheetReader.problems(" ".repeat(10_000_000)).get(0))
        .hasMessageContaining("10,000,000 characters");
    assertThat(RuleSheetReader.problems("")).isNotEmpty();
    assertThat(RuleSheetReader.problems("null")).isNotEmpty();
    assertThat(RuleSheetReader.problems("{\"$ref\": \"#\", \"format\": \"reglet-rule-sheet/1\"}"))
        .isNotEmpty();
  }
}
