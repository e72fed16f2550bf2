package app.reglet.web.bench;

import app.reglet.core.Choices;
import app.reglet.core.book.Asset;
import app.reglet.core.book.Licence;
import app.reglet.core.design.Design;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Library;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The pictures of a title, beside one of its covers. */
@Controller
@RequestMapping("/editions/{id}/bench/pictures")
class LibraryController {
  private final Covers covers;
  private final Editions editions;
  private final Revisions revisions;
  private final Benching benching;
  private final BenchAnswer answers;
  private final Library library;
  private final PictureStore pictures;

  LibraryController(
      Covers covers,
      Editions editions,
      Revisions revisions,
      Benching benching,
      BenchAnswer answers,
      Library library,
      PictureStore pictures) {
    this.covers = covers;
    this.editions = editions;
    this.revisions = revisions;
    this.benching = benching;
    this.answers = answers;
    this.library = library;
    this.pictures = pictures;
  }

  @GetMapping
  String list(@PathVariable Long id, Viewer viewer, Model model) {
    model.addAttribute("assets", assets(covers.of(id, viewer)));
    model.addAttribute("licences", Licence.values());
    model.addAttribute("edition", id);
    return "library :: list";
  }

  private List<AssetView> assets(Cover cover) {
    Map<String, Asset> all = new LinkedHashMap<>();
    Map<String, List<String>> used = new LinkedHashMap<>();
    cover.book().pictures().forEach(a -> all.put(a.sha(), a));
    used(cover.design(), "", all, used);
    for (EditionEntity other : editions.findAllByOrderByIdAsc()) {
      if (other.getBook().getId().equals(cover.edition().getBook().getId())
          && !other.getId().equals(cover.edition().getId())) {
        String where = ", " + other.getBinding().title().toLowerCase(java.util.Locale.ROOT);
        design(other).ifPresent(d -> used(d, where, all, used));
      }
    }
    List<AssetView> views = new ArrayList<>();
    all.forEach(
        (sha, asset) ->
            views.add(
                AssetView.of(
                    asset,
                    pictures.find(sha),
                    String.join("; ", used.getOrDefault(sha, List.of())))));
    return views;
  }

  private Optional<Design> design(EditionEntity edition) {
    try {
      return Optional.of(revisions.current(edition));
    } catch (RuntimeException e) {
      return Optional.empty(); // that it can't be read is told where it is
    }
  }

  /** What a design uses; a picture from before there was a list is named as its file was. */
  private void used(
      Design design, String where, Map<String, Asset> all, Map<String, List<String>> used) {
    for (String sha : design.pictures()) {
      all.computeIfAbsent(
          sha, s -> Asset.of(s, pictures.about(s).map(p -> p.getName()).orElse("picture")));
      AssetView.places(design, sha)
          .forEach(p -> used.computeIfAbsent(sha, s -> new ArrayList<>()).add(p + where));
    }
  }

  /** Says by what right a picture is used; answered with what is another on the bench. */
  @PostMapping("/{sha}")
  String say(
      @PathVariable Long id,
      @PathVariable String sha,
      @RequestParam String licence,
      @RequestParam(defaultValue = "") String source,
      @RequestParam(defaultValue = "") String credit,
      @RequestParam(defaultValue = "outside") String side,
      @RequestParam(defaultValue = "") String shown,
      Viewer viewer,
      Model model,
      HttpServletResponse response) {
    Cover before = benching.of(covers.edition(id), Benching.side(side), viewer);
    String name =
        assets(before).stream()
            .map(AssetView::asset)
            .filter(a -> a.sha().equals(sha))
            .map(Asset::name)
            .findFirst()
            .orElseThrow(() -> new Gone("This title has no such picture."));
    library.say(
        before.edition().getBook().getId(),
        new Asset(sha, name, Choices.of(Licence.class, licence), source.strip(), credit.strip()));
    return answers.followed(before, side, shown, viewer, model, response);
  }

  /** Keeps a picture with the title no longer. */
  @PostMapping("/{sha}/off")
  String takeOff(@PathVariable Long id, @PathVariable String sha, Viewer viewer, Model model) {
    library.takeOff(covers.edition(id).getBook().getId(), sha);
    return list(id, viewer, model);
  }
}
