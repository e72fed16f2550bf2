package app.reglet.web.shell;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatusCode;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;

/** The page for errors that never reached a controller. */
@Controller
public class ShippedErrors implements ErrorController {
  /** Attribute of a request with a sentence that was decided on already. */
  static final String SENTENCE = "reglet.sentence";

  private final Answers answers;

  public ShippedErrors(Answers answers) {
    this.answers = answers;
  }

  @RequestMapping("/error")
  ModelAndView error(HttpServletRequest request, HttpServletResponse response) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    int status = code instanceof Integer i && i >= 400 && i < 600 ? i : 404;
    Answer answer = answers.of(HttpStatusCode.valueOf(status));
    if (request.getAttribute(SENTENCE) instanceof String sentence) {
      answer = new Answer(answer.status(), sentence);
    } else if (request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof Throwable t) {
      answer = answers.to(t, request);
    }
    return Troubles.shown(answer, request, response);
  }
}
