package app.reglet.web.shell;

import app.reglet.core.measure.Unit;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** The units, at hand in every template. */
@ControllerAdvice
public class Units {
  @ModelAttribute("inUnit")
  Unit inches() {
    return Unit.IN;
  }

  @ModelAttribute("mmUnit")
  Unit millimetres() {
    return Unit.MM;
  }

  @ModelAttribute("ptUnit")
  Unit points() {
    return Unit.PT;
  }
}
