package app.reglet.web.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.WebAttributes;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page to sign in on. */
@Controller
public class SignInController {
  private final People people;

  SignInController(People people) {
    this.people = people;
  }

  @GetMapping("/sign-in")
  String page(
      @RequestParam(required = false) String failed,
      @RequestParam(required = false) String out,
      HttpServletRequest request,
      Model model) {
    if (!people.any()) {
      return "redirect:/titles";
    }
    HttpSession session = request.getSession(); // the form's token is one of a session
    String problem = "";
    if (failed != null
        && session.getAttribute(WebAttributes.AUTHENTICATION_EXCEPTION)
            instanceof AuthenticationException e) {
      problem = e.getMessage();
      session.removeAttribute(WebAttributes.AUTHENTICATION_EXCEPTION);
    }
    model.addAttribute("problem", problem);
    model.addAttribute("out", out != null);
    return "sign-in";
  }
}
