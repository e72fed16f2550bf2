package app.reglet.web.bench;

import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.press.type.Family;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Choosing a typeface by the words that are to be set in it. */
@Controller
public class FacesController {
  /** Families kept at hand, of this browser: ids parted by full stops. */
  static final String COOKIE = "reglet-faces";

  private static final int MOST = 60;

  private final Covers covers;
  private final Typefaces typefaces;
  private final FaceView faces;

  public FacesController(Covers covers, Typefaces typefaces) {
    this.covers = covers;
    this.typefaces = typefaces;
    this.faces = new FaceView(typefaces);
  }

  @GetMapping("/editions/{id}/bench/faces")
  String list(
      @PathVariable Long id,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "outside") String side,
      @RequestParam(defaultValue = "classification") String by,
      @CookieValue(name = COOKIE, defaultValue = "") String kept,
      Viewer viewer,
      Model model) {
    Cover outside = covers.of(id, viewer);
    boolean turned = Benching.side(side) == PrintedSide.INSIDE && outside.isTwoSided();
    Cover cover = turned ? covers.turned(outside) : outside;
    Piece words = cover.design().piece(piece).orElse(null);
    Content content = words == null ? null : words.content();
    Typeface face =
        content instanceof Words w && typefaces.has(w.type().face())
            ? typefaces.get(w.type().face())
            : typefaces.all().get(0);
    String text = FaceView.text(words, cover.book());
    boolean byGenre = by.equals("genre");
    model.addAttribute("groups", faces.groups(cover.design(), text, face, byGenre, read(kept)));
    model.addAttribute("face", face);
    model.addAttribute("byGenre", byGenre);
    model.addAttribute("count", typefaces.families().size());
    return "faces";
  }

  /** Keeps a family at hand, or no longer. */
  @PostMapping("/faces/kept")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void keep(
      @RequestParam String family,
      @RequestParam boolean on,
      @CookieValue(name = COOKIE, defaultValue = "") String kept,
      HttpServletResponse response) {
    Set<String> now = read(kept);
    if (on && typefaces.families().stream().map(Family::id).anyMatch(family::equals)) {
      now.add(family);
    } else {
      now.remove(family);
    }
    Cookie cookie = new Cookie(COOKIE, String.join(".", now));
    cookie.setPath("/");
    cookie.setMaxAge(365 * 24 * 3600);
    cookie.setHttpOnly(true);
    cookie.setAttribute("SameSite", "Lax");
    response.addCookie(cookie);
  }

  private static Set<String> read(String kept) {
    return Arrays.stream(kept.split("\\."))
        .filter(f -> f.matches("[a-z0-9-]{1,60}"))
        .limit(MOST)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }
}
