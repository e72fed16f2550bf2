package app.reglet.web.shell;

import app.reglet.core.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns what went wrong into a sentence: in place for htmx, on a page of its own otherwise. */
@ControllerAdvice
public class Troubles {
  private static final Logger LOG = LoggerFactory.getLogger(Troubles.class);

  @ExceptionHandler
  ModelAndView refused(Refusal e, HttpServletRequest request, HttpServletResponse response) {
    return told(HttpStatus.BAD_REQUEST, e.getMessage(), request, response);
  }

  @ExceptionHandler
  ModelAndView gone(Gone e, HttpServletRequest request, HttpServletResponse response) {
    return told(HttpStatus.NOT_FOUND, e.getMessage(), request, response);
  }

  @ExceptionHandler
  ModelAndView conflict(Conflict e, HttpServletRequest request, HttpServletResponse response) {
    return told(HttpStatus.CONFLICT, e.getMessage(), request, response);
  }

  @ExceptionHandler
  ModelAndView stale(
      ObjectOptimisticLockingFailureException e,
      HttpServletRequest request,
      HttpServletResponse response) {
    return told(
        HttpStatus.CONFLICT,
        "This was changed in another window at the same moment. Nothing was overwritten: reload the page and make your change again.",
        request,
        response);
  }

  @ExceptionHandler
  ModelAndView large(
      MaxUploadSizeExceededException e, HttpServletRequest request, HttpServletResponse response) {
    return told(
        HttpStatus.CONTENT_TOO_LARGE,
        "The file is larger than 200 MB, the most Reglet takes: save it smaller.",
        request,
        response);
  }

  @ExceptionHandler({
    MissingServletRequestParameterException.class,
    MissingServletRequestPartException.class,
    MethodArgumentTypeMismatchException.class,
    MultipartException.class,
    org.springframework.web.bind.MethodArgumentNotValidException.class,
    org.springframework.web.HttpMediaTypeNotSupportedException.class
  })
  ModelAndView incomplete(Exception e, HttpServletRequest request, HttpServletResponse response) {
    return told(
        HttpStatus.BAD_REQUEST,
        "The request was incomplete or not of the kind this page takes: go back and try again.",
        request,
        response);
  }

  @ExceptionHandler
  ModelAndView nowhere(
      NoResourceFoundException e, HttpServletRequest request, HttpServletResponse response) {
    return told(HttpStatus.NOT_FOUND, "There is no page at this address.", request, response);
  }

  @ExceptionHandler
  ModelAndView notLikeThis(
      org.springframework.web.HttpRequestMethodNotSupportedException e,
      HttpServletRequest request,
      HttpServletResponse response) {
    return told(
        HttpStatus.METHOD_NOT_ALLOWED,
        "This address can't be opened like a page: go back to the titles.",
        request,
        response);
  }

  @ExceptionHandler
  ModelAndView unforeseen(Exception e, HttpServletRequest request, HttpServletResponse response) {
    LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
    return told(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Reglet failed at this. What was saved is safe; the log of the server says what happened.",
        request,
        response);
  }

  private static ModelAndView told(
      HttpStatus status,
      String sentence,
      HttpServletRequest request,
      HttpServletResponse response) {
    response.setStatus(status.value());
    boolean htmx = request.getHeader("HX-Request") != null;
    ModelAndView view = new ModelAndView(htmx ? "trouble :: sentence" : "trouble");
    view.addObject("sentence", sentence);
    view.addObject("status", status.value());
    return view;
  }
}
