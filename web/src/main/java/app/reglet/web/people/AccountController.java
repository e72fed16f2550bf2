package app.reglet.web.people;

import app.reglet.core.Refusal;
import app.reglet.web.shell.Gone;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a person changes about themselves: the password, and signing out everywhere. */
@Controller
@RequestMapping("/account")
public class AccountController {
  private final People people;

  AccountController(People people) {
    this.people = people;
  }

  @GetMapping
  String page(Model model) {
    me();
    return "account";
  }

  @PostMapping("/password")
  String change(
      @RequestParam(defaultValue = "") String old,
      @RequestParam(defaultValue = "") String password,
      Model model,
      HttpServletResponse response) {
    try {
      people.change(me(), old, password);
    } catch (Refusal r) {
      response.setStatus(400);
      model.addAttribute("problem", r.getMessage());
      return "account";
    }
    return "redirect:/sign-in";
  }

  @PostMapping("/sign-out-everywhere")
  String signOutEverywhere() {
    people.signOutEverywhere(me());
    return "redirect:/sign-in?out";
  }

  private static Long me() {
    return Who.signedIn()
        .map(SignedIn::id)
        .orElseThrow(() -> new Gone("Nobody is signed in: Reglet is open to this machine."));
  }
}
