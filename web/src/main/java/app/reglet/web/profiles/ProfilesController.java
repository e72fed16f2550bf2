package app.reglet.web.profiles;

import app.reglet.core.Refusal;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.Lab;
import app.reglet.web.store.Uploads;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The printing conditions, and profiles that people bring. */
@Controller
public class ProfilesController {
  private final Conditions conditions;
  private final Uploads uploads;

  ProfilesController(Conditions conditions, Uploads uploads) {
    this.conditions = conditions;
    this.uploads = uploads;
  }

  /**
   * A condition as the page shows it.
   *
   * @param paper lightness and tone of its paper, in words
   * @param black how dark black alone and all inks are
   * @param houses that print in it
   */
  public record Row(
      Condition condition, boolean shipped, String paper, String black, List<String> houses) {}

  @GetMapping("/houses/conditions")
  String page(Model model) {
    return page(model, "", "");
  }

  private String page(Model model, String problem, String typed) {
    List<Condition> shipped = conditions.shipped();
    model.addAttribute(
        "rows",
        conditions.all().stream()
            .map(c -> row(c, shipped.stream().anyMatch(s -> s.id().equals(c.id()))))
            .toList());
    model.addAttribute("problem", problem);
    model.addAttribute("typed", typed);
    return "conditions";
  }

  private Row row(Condition c, boolean shipped) {
    Lab black = c.profile().lab(new double[] {0, 0, 0, 1});
    Lab all = c.profile().lab(new double[] {0.6, 0.4, 0.4, 1});
    Lab cyan = c.profile().lab(new double[] {1, 0, 0, 0});
    return new Row(
        c,
        shipped,
        String.format(Locale.ROOT, "cyan at L* %.0f a* %.0f b* %.0f", cyan.l(), cyan.a(), cyan.b()),
        String.format(Locale.ROOT, "black alone L* %.0f, rich black %.0f", black.l(), all.l()),
        conditions.usedBy(c.id()));
  }

  @PostMapping("/houses/conditions")
  String add(
      @RequestParam(defaultValue = "") String title,
      @RequestParam MultipartFile file,
      Model model,
      HttpServletResponse response)
      throws IOException {
    try (Uploads.Upload upload = uploads.take(file)) {
      conditions.add(title, upload.path());
      return "redirect:/houses/conditions";
    } catch (Refusal r) {
      response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
      return page(model, r.getMessage(), title);
    }
  }

  @PostMapping("/houses/conditions/{id}/remove")
  String remove(@PathVariable String id, Model model, HttpServletResponse response) {
    try {
      conditions.remove(id);
      return "redirect:/houses/conditions";
    } catch (Refusal r) {
      response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
      return page(model, r.getMessage(), "");
    }
  }
}
