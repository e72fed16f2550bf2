package app.reglet.web.people;

import app.reglet.core.Refusal;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The place People: who may sign in, for owners. */
@Controller
@RequestMapping("/people")
public class PeopleController {
  private final People people;

  PeopleController(People people) {
    this.people = people;
  }

  @GetMapping
  String page(Model model) {
    model.addAttribute("people", people.all());
    model.addAttribute("roles", Role.values());
    return "people";
  }

  @PostMapping
  String add(
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String role,
      Model model,
      HttpServletResponse response,
      RedirectAttributes told) {
    boolean first = !people.any();
    try {
      tell(people.add(name, role(role), ""), "Set up", told);
    } catch (Refusal r) {
      response.setStatus(400);
      model.addAttribute("problem", r.getMessage());
      model.addAttribute("name", name);
      return page(model);
    }
    if (first) {
      // from now on this page asks for a sign-in: the password is told here, once
      model.addAllAttributes(told.getFlashAttributes());
      return "first-owner";
    }
    return "redirect:/people";
  }

  @PostMapping("/{id}/reset")
  String reset(@PathVariable Long id, RedirectAttributes told) {
    tell(people.reset(id, ""), "Given another password", told);
    return "redirect:/people";
  }

  @PostMapping("/{id}/sign-out")
  String signOut(@PathVariable Long id, RedirectAttributes told) {
    people.signOutEverywhere(id);
    told.addFlashAttribute("done", "Signed out everywhere: " + people.get(id).getName() + ".");
    return "redirect:/people";
  }

  @PostMapping("/{id}/role")
  String role(@PathVariable Long id, @RequestParam String role, RedirectAttributes told) {
    PersonEntity person = people.setRole(id, role(role));
    told.addFlashAttribute("done", person.getName() + " is " + person.getRole().id() + " now.");
    return "redirect:/people";
  }

  @PostMapping("/{id}/remove")
  String remove(@PathVariable Long id, RedirectAttributes told) {
    String name = people.get(id).getName();
    people.remove(id);
    told.addFlashAttribute("done", name + " was taken off and signed out.");
    return "redirect:/people";
  }

  private static void tell(People.Made made, String what, RedirectAttributes told) {
    told.addFlashAttribute("done", what + ": " + made.person().getName() + ".");
    told.addFlashAttribute("password", made.password());
  }

  private static Role role(String id) {
    Role role = Role.byId(id);
    if (role == null) {
      throw new Refusal("role", "“" + id + "” is no role: owner, designer or reader.");
    }
    return role;
  }
}
