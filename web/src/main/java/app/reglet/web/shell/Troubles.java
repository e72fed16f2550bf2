package app.reglet.web.shell;

import app.reglet.web.people.Who;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.servlet.ModelAndView;

/** Shows what went wrong: in place for htmx, on a page of its own otherwise. */
@ControllerAdvice
public class Troubles {
  private final Answers answers;
  private final Who who;

  public Troubles(Answers answers, Who who) {
    this.answers = answers;
    this.who = who;
  }

  @ExceptionHandler
  ModelAndView failed(Exception e, HttpServletRequest request, HttpServletResponse response)
      throws Exception {
    if (e instanceof AccessDeniedException || e instanceof AuthenticationException) {
      throw e;
    }
    ModelAndView view = shown(answers.to(e, request), request, response);
    if (e instanceof Broken broken) {
      view.addObject("broken", broken);
      view.addObject("may", who.may());
    }
    return view;
  }

  /** A file that burnt the stack or the heap: the request is over, the rest goes on. */
  @ExceptionHandler
  ModelAndView burnt(Error e, HttpServletRequest request, HttpServletResponse response) {
    return shown(answers.to(e, request), request, response);
  }

  /** Nobody is there to read an answer. */
  @ExceptionHandler(AsyncRequestNotUsableException.class)
  void gone() {}

  static ModelAndView shown(
      Answer answer, HttpServletRequest request, HttpServletResponse response) {
    response.setStatus(answer.status().value());
    boolean htmx = request.getHeader("HX-Request") != null;
    ModelAndView view = new ModelAndView(htmx ? "trouble :: sentence" : "trouble");
    view.addObject("sentence", answer.sentence());
    view.addObject("status", answer.status().value());
    return view;
  }
}
