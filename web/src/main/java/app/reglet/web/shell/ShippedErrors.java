package app.reglet.web.shell;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** The page for errors that never reached a controller. */
@Controller
public class ShippedErrors implements ErrorController {
  @RequestMapping("/error")
  String error(HttpServletRequest request, Model model) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    int status = code instanceof Integer i ? i : 404;
    model.addAttribute("status", status);
    model.addAttribute(
        "sentence",
        switch (status) {
          case 403 -> "This request came from another web page and was not carried out.";
          case 400 -> "The request can't be read: go back and try again.";
          case 413 -> "The file is larger than 200 MB, the most Reglet takes: save it smaller.";
          case 404 -> "There is no page at this address.";
          default ->
              "Reglet failed at this. What was saved is safe; the log of the server says what happened.";
        });
    return request.getHeader("HX-Request") != null ? "trouble :: sentence" : "trouble";
  }
}
