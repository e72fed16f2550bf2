package app.reglet.web.houses;

import app.reglet.core.house.PressRules;
import app.reglet.core.house.PressRulesText;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.grammar.RuleSheetSchema;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.press.colour.Condition;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.shell.Downloads;
import app.reglet.web.shell.Gone;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The place Houses: rule sheets to read, with their worked examples. */
@Controller
public class HousesController {
  private final Houses houses;
  private final Conditions conditions;
  private final RuleDrafts drafts;

  public HousesController(Houses houses, RuleDrafts drafts, Conditions conditions) {
    this.conditions = conditions;
    this.houses = houses;
    this.drafts = drafts;
  }

  /** A house as the list shows it. */
  public record Row(RuleSheet sheet, boolean shipped, int version) {}

  @GetMapping("/houses")
  String list(Model model) {
    model.addAttribute("rows", rows(false));
    model.addAttribute("shops", rows(true));
    model.addAttribute("drafts", drafts.all());
    model.addAttribute("broken", houses.broken());
    return "houses";
  }

  private List<Row> rows(boolean shops) {
    return houses.all().stream()
        .filter(h -> h.isInPixels() == shops)
        .map(h -> new Row(h, houses.isShipped(h.id()), houses.version(h.id())))
        .toList();
  }

  @GetMapping("/houses/{id}")
  String sheet(@PathVariable String id, @RequestParam(required = false) Integer v, Model model) {
    int version = v == null ? houses.version(id) : v;
    RuleSheet sheet = houses.get(id, version);
    model.addAttribute("sheet", sheet);
    model.addAttribute("version", version);
    model.addAttribute("current", houses.version(id));
    model.addAttribute("versions", houses.numbers(id));
    model.addAttribute("shipped", houses.isShipped(id));
    model.addAttribute(
        "bindings",
        sheet.bindings().values().stream()
            .sorted(java.util.Comparator.comparing(b -> b.binding()))
            .toList());
    model.addAttribute("examples", ExampleRun.runAll(sheet));
    PressRules press = sheet.files().press();
    model.addAttribute(
        "press",
        PressRulesText.say(
            press,
            conditions.all().stream()
                .filter(c -> c.id().equals(press.condition()))
                .map(Condition::title)
                .findFirst()
                .orElse("“" + press.condition() + "”, of which no profile is here")));
    return "house";
  }

  /** Takes a version that can't be read over into a draft. */
  @PostMapping("/houses/{id}/mend")
  String mend(@PathVariable String id, @RequestParam int version) {
    return "redirect:/houses/drafts/" + drafts.mend(id, version).getId();
  }

  @GetMapping("/houses/{id}/document")
  ResponseEntity<byte[]> document(
      @PathVariable String id, @RequestParam(required = false) Integer v) {
    int version = v == null ? houses.version(id) : v;
    if (!houses.isTaken(id)) {
      throw new Gone("There is no rule sheet “" + id + "” here.");
    }
    return Downloads.file(
        id + ".json",
        MediaType.APPLICATION_JSON,
        houses.document(id, version).getBytes(StandardCharsets.UTF_8));
  }

  /** The published JSON Schema of rule sheets. */
  @GetMapping("/houses/rule-sheet.schema.json")
  ResponseEntity<byte[]> schema() {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/schema+json"))
        .body(RuleSheetSchema.write().getBytes(StandardCharsets.UTF_8));
  }
}
