package app.reglet.web.houses;

import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.ExampleRun;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** The place Houses: rule sheets to read, with their worked examples. */
@Controller
public class HousesController {
  private final Houses houses;

  public HousesController(Houses houses) {
    this.houses = houses;
  }

  @GetMapping("/houses")
  String list(Model model) {
    model.addAttribute("houses", houses.all());
    return "houses";
  }

  @GetMapping("/houses/{id}")
  String sheet(@PathVariable String id, Model model) {
    RuleSheet sheet = houses.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute(
        "bindings",
        sheet.bindings().values().stream()
            .sorted(java.util.Comparator.comparing(b -> b.binding()))
            .toList());
    model.addAttribute("examples", ExampleRun.runAll(sheet));
    return "house";
  }

  @GetMapping("/houses/{id}/document")
  ResponseEntity<String> document(@PathVariable String id) {
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + ".json").build().toString())
        .contentType(MediaType.APPLICATION_JSON)
        .body(houses.document(id));
  }
}
