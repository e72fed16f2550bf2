package app.reglet.web.shell;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The unit a person reads and types in: kept in a cookie, else the house's own. */
@Controller
public class UnitInForce {
  static final String COOKIE = "reglet-unit";

  @PostMapping("/unit")
  String choose(
      @RequestParam String unit,
      @RequestParam(defaultValue = "/titles") String back,
      HttpServletResponse response) {
    Cookie cookie = new Cookie(COOKIE, unit.equals("mm") ? "mm" : "in");
    cookie.setPath("/");
    cookie.setMaxAge(365 * 24 * 3600);
    cookie.setHttpOnly(true);
    cookie.setAttribute("SameSite", "Lax");
    response.addCookie(cookie);
    boolean ours = back.matches("/(?!/)[A-Za-z0-9/_.~%?=&-]{0,500}");
    return "redirect:" + (ours ? back : "/titles");
  }
}
