package app.reglet.web.shell;

import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The unit a person reads and types in: kept in a cookie, else the house's own. */
@Controller
public class UnitInForce {
  private static final String COOKIE = "reglet-unit";

  /** The unit a sheet is read in: an ebook shop's is pixels whatever this browser has chosen. */
  public static Unit of(HttpServletRequest request, RuleSheet sheet) {
    return sheet.isShop() ? Unit.PX : of(request, sheet.unit());
  }

  /** The unit this browser has chosen, or the other one given. */
  public static Unit of(HttpServletRequest request, Unit otherwise) {
    if (request.getCookies() != null) {
      for (Cookie c : request.getCookies()) {
        if (c.getName().equals(COOKIE)) {
          return c.getValue().equals("mm")
              ? Unit.MM
              : c.getValue().equals("in") ? Unit.IN : otherwise;
        }
      }
    }
    return otherwise;
  }

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
