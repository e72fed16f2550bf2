package app.reglet.web.bench;

import app.reglet.core.Choices;
import app.reglet.core.book.Fact;
import app.reglet.web.docket.Saying;
import app.reglet.web.shell.Viewer;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.util.UriComponentsBuilder;

/** A fact of the book changed in words that follow it: every place that says it is another. */
@Controller
@RequestMapping("/editions/{id}/bench")
public class SayingController {
  private final Saying saying;
  private final Benching benching;

  SayingController(Saying saying, Benching benching) {
    this.saying = saying;
    this.benching = benching;
  }

  /**
   * The whole page is drawn anew: the fact may stand in several places.
   *
   * @param typed whether the words were typed on the sheet, where they stopped following the fact
   */
  @PostMapping("/fact")
  @ResponseBody
  void say(
      @PathVariable Long id,
      @RequestParam String fact,
      @RequestParam String said,
      @RequestParam String text,
      @RequestParam(defaultValue = "") String piece,
      @RequestParam(defaultValue = "outside") String side,
      @RequestParam(defaultValue = "false") boolean typed,
      @RequestParam(defaultValue = "0") int base,
      Viewer viewer,
      HttpServletResponse response) {
    Fact of = Choices.of(Fact.class, fact);
    if (typed) {
      benching.followed(id, base, piece, of, said, text, viewer);
    } else {
      saying.say(id, of, said, text);
    }
    response.setHeader(
        "HX-Redirect",
        UriComponentsBuilder.fromPath("/editions/{id}/bench")
            .queryParam("side", "{side}")
            .queryParam("chosen", "{piece}")
            .encode()
            .buildAndExpand(id, Benching.side(side).id(), piece)
            .toUriString());
  }
}
