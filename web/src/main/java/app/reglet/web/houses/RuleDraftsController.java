package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.web.shell.Downloads;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Writing rule sheets: the form of a draft beside its worked examples. */
@Controller
@RequestMapping("/houses")
public class RuleDraftsController {
  private static final long LARGEST_FILE = 4_000_000;

  private final RuleDrafts drafts;

  public RuleDraftsController(RuleDrafts drafts) {
    this.drafts = drafts;
  }

  @PostMapping("/new")
  String begin() {
    return to(drafts.begin());
  }

  @PostMapping("/{id}/copy")
  String copy(@PathVariable String id) {
    return to(drafts.copy(id));
  }

  @PostMapping("/{id}/edit")
  String edit(@PathVariable String id) {
    return to(drafts.edit(id));
  }

  @PostMapping("/import")
  String importFile(@RequestParam MultipartFile file) throws IOException {
    if (file.isEmpty()) {
      throw new Refusal("file", "The file is empty: choose a rule sheet in JSON.");
    }
    if (file.getSize() > LARGEST_FILE) {
      throw new Refusal(
          "file",
          "The file has " + file.getSize() / 1_000_000 + " MB; a rule sheet has 1 MB at most.");
    }
    try {
      String text =
          StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(file.getBytes())).toString();
      return to(drafts.importDocument(text.startsWith("\ufeff") ? text.substring(1) : text));
    } catch (CharacterCodingException e) {
      throw new Refusal("file", "The file is no text in UTF-8, as JSON must be.");
    }
  }

  private static String to(HouseDraft draft) {
    return "redirect:/houses/drafts/" + draft.getId();
  }

  @GetMapping("/drafts/{id}")
  String page(@PathVariable Long id, Model model) {
    fill(model, drafts.get(id), "");
    return "draft";
  }

  private static void fill(Model model, HouseDraft draft, String refused) {
    model.addAttribute("draft", draft);
    model.addAttribute(
        "form", RuleSheetForm.of(RuleDrafts.tree(draft), draft.getHouseId() != null));
    model.addAttribute("state", RuleDrafts.state(draft));
    model.addAttribute("refused", refused);
    model.addAttribute("answering", false);
  }

  /** Takes the form; a button that changes its shape gets the whole form back. */
  @PostMapping("/drafts/{id}")
  String change(
      @PathVariable Long id,
      @RequestParam long version,
      @RequestParam(defaultValue = "") String act,
      HttpServletRequest request,
      Model model) {
    boolean known =
        act.isEmpty()
            || act.equals("shape")
            || act.matches("(add|drop|up) [A-Za-z0-9.\\[\\]-]{1,80}")
            || act.matches("paste [A-Za-z0-9.\\[\\]-]{1,80} \\d{1,4} [0-2]");
    if (!known) {
      throw new Refusal("This button is not known: reload the page.");
    }
    HouseDraft draft = drafts.change(id, version, request.getParameterMap(), act);
    fill(model, draft, "");
    if (request.getHeader("HX-Request") == null) {
      return to(draft);
    }
    model.addAttribute("answering", true);
    return act.isEmpty() ? "draft :: answer" : "draft :: sheet";
  }

  @PostMapping("/drafts/{id}/publish")
  String publish(
      @PathVariable Long id, Model model, jakarta.servlet.http.HttpServletResponse response) {
    try {
      RuleSheet sheet = drafts.publish(id);
      return "redirect:/houses/" + sheet.id();
    } catch (Refusal r) {
      response.setStatus(400);
      fill(model, drafts.get(id), r.getMessage());
      return "draft";
    }
  }

  @PostMapping("/drafts/{id}/discard")
  String discard(@PathVariable Long id) {
    drafts.discard(id);
    return "redirect:/houses";
  }

  @GetMapping("/drafts/{id}/document")
  ResponseEntity<byte[]> document(@PathVariable Long id) {
    HouseDraft draft = drafts.get(id);
    String name = draft.getName().isEmpty() ? "draft" : draft.getName();
    return Downloads.file(
        name.replaceAll("[^\\p{L}\\p{N}]+", "-") + ".json",
        MediaType.APPLICATION_JSON,
        draft.getDocument().getBytes(StandardCharsets.UTF_8));
  }
}
