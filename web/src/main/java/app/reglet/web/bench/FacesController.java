package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.press.font.FontFacts;
import app.reglet.press.type.Family;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import app.reglet.web.fonts.Brought;
import app.reglet.web.fonts.Fonts;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.multipart.MultipartFile;

/** Choosing a typeface by the words that are to be set in it. */
@Controller
public class FacesController {
  /** Families kept at hand, of this browser: ids parted by full stops. */
  static final String COOKIE = "reglet-faces";

  private static final String AXIS = "axis.";
  private static final int MOST = 60;

  private final Covers covers;
  private final Typefaces typefaces;
  private final FaceView faces;
  private final Fonts fonts;
  private final Uploads uploads;

  public FacesController(Covers covers, Typefaces typefaces, Fonts fonts, Uploads uploads) {
    this.fonts = fonts;
    this.uploads = uploads;
    this.covers = covers;
    this.typefaces = typefaces;
    this.faces = new FaceView(typefaces);
  }

  /**
   * What is listed.
   *
   * @param piece the words that are shown, the title where there are none
   * @param by {@code genre} or {@code classification}
   */
  record Listing(String piece, String side, String by) {
    Listing {
      piece = piece == null ? "" : piece;
      side = side == null ? "outside" : side;
      by = by == null ? "classification" : by;
    }
  }

  @GetMapping("/editions/{id}/bench/faces")
  String list(
      @PathVariable Long id,
      Listing listing,
      @CookieValue(name = COOKIE, defaultValue = "") String kept,
      Viewer viewer,
      Model model) {
    return list(id, listing, kept, "", viewer, model);
  }

  /** Takes a font in and keeps it with the edition's title. */
  @PostMapping("/editions/{id}/bench/fonts")
  String bring(
      @PathVariable Long id,
      @RequestParam MultipartFile font,
      Listing listing,
      @CookieValue(name = COOKIE, defaultValue = "") String kept,
      Viewer viewer,
      Model model)
      throws IOException {
    Long book = covers.edition(id).getBook().getId();
    String told;
    try (Uploads.Upload upload = uploads.take(font)) {
      told = fonts.add(book, upload).said();
    } catch (Refusal r) {
      throw new Refusal(
          "font", "“" + Uploads.name(font.getOriginalFilename()) + "”: " + r.getMessage());
    }
    return list(id, listing, kept, told, viewer, model);
  }

  /** One more face of a variable font, at typed figures on its axes. */
  @PostMapping("/editions/{id}/bench/fonts/{sha}/cut")
  String cut(
      @PathVariable Long id,
      @PathVariable String sha,
      @RequestParam Map<String, String> sent,
      Listing listing,
      @CookieValue(name = COOKIE, defaultValue = "") String kept,
      Viewer viewer,
      Model model)
      throws IOException {
    Map<String, String> typed = new HashMap<>();
    sent.forEach(
        (name, figure) -> {
          if (name.startsWith(AXIS)) {
            typed.put(name.substring(AXIS.length()), figure);
          }
        });
    FontFacts.Face made = fonts.cut(covers.edition(id).getBook().getId(), sha, typed);
    String told = made.family() + " " + made.style() + " is among its faces.";
    return list(id, listing, kept, told, viewer, model);
  }

  /** Keeps a font with the edition's title no longer. */
  @PostMapping("/editions/{id}/bench/fonts/{sha}/off")
  String takeOff(
      @PathVariable Long id,
      @PathVariable String sha,
      Listing listing,
      @CookieValue(name = COOKIE, defaultValue = "") String kept,
      Viewer viewer,
      Model model) {
    fonts.takeOff(covers.edition(id).getBook().getId(), sha);
    return list(id, listing, kept, "Taken off this title. Words set in it stay so.", viewer, model);
  }

  private String list(
      Long id, Listing listing, String kept, String told, Viewer viewer, Model model) {
    Cover outside = covers.of(id, viewer);
    boolean turned = Benching.side(listing.side()) == PrintedSide.INSIDE && outside.isTwoSided();
    Cover cover = turned ? covers.turned(outside) : outside;
    Piece words = cover.design().piece(listing.piece()).orElse(null);
    Content content = words == null ? null : words.content();
    Typeface face =
        content instanceof Words w && typefaces.has(w.type().face())
            ? typefaces.get(w.type().face())
            : typefaces.all().get(0);
    String text = FaceView.text(words, cover.book());
    boolean byGenre = listing.by().equals("genre");
    List<Brought> own = fonts.of(outside.edition().getBook().getId());
    model.addAttribute(
        "groups",
        faces.groups(
            cover.design(),
            text,
            face,
            byGenre,
            read(kept),
            f -> own.stream().anyMatch(b -> b.has(f))));
    model.addAttribute("own", own);
    model.addAttribute("told", told);
    model.addAttribute("face", face);
    model.addAttribute("byGenre", byGenre);
    model.addAttribute("count", typefaces.families().size() + typefaces.brought().size());
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
    boolean here =
        Stream.concat(typefaces.families().stream(), typefaces.brought().stream())
            .map(Family::id)
            .anyMatch(family::equals);
    if (on && here) {
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
