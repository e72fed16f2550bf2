package app.reglet.web.people;

import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** What the person who asks may do, at hand in every template. */
@ControllerAdvice
public class Permissions {
  private final Who who;

  Permissions(Who who) {
    this.who = who;
  }

  @ModelAttribute("may")
  May may() {
    return who.may();
  }
}
