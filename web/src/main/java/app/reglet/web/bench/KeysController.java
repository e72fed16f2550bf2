package app.reglet.web.bench;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Every key of the bench on one page. */
@Controller
public class KeysController {
  /** A key and what it does. */
  public record Key(String keys, String does) {}

  /** Keys that belong together. */
  public record Group(String name, String when, List<Key> keys) {}

  /** What {@code js/bench/keys.js} does. */
  static final List<Group> GROUPS =
      List.of(
          new Group(
              "Pieces",
              "while a piece has the keyboard; with several in the hand, for all of them",
              List.of(
                  new Key("Tab, Shift Tab", "goes to the next piece, to the one before"),
                  new Key("Enter or Space", "takes the piece in the hand"),
                  new Key("Enter again", "types in words, where they stand; Escape ends it"),
                  new Key("Shift Enter", "puts it to those in the hand, or takes it out"),
                  new Key("Escape", "ends sizing or turning; else lets go of what is in the hand"),
                  new Key("arrows", "move by 0.5 mm, with Shift by 5 mm"),
                  new Key("S", "arrows size from now: right and down larger, left and up smaller"),
                  new Key("T", "arrows turn from now by 1°, with Shift by 15°"),
                  new Key("M", "arrows move again"),
                  new Key("F, Shift F", "mirrors across, down"),
                  new Key("C, Shift C", "centres across, down on the trimmed panel"),
                  new Key("E, Shift E", "spreads three or more evenly across, down"),
                  new Key("D", "puts a copy beside it"),
                  new Key("G, U", "groups what is in the hand, ungroups"),
                  new Key(". ,", "brings forward, sends back"),
                  new Key("L, H", "locks or unlocks, hides"),
                  new Key("Delete", "takes it off"))),
          new Group(
              "Everywhere on the bench",
              "while no field has the keyboard",
              List.of(
                  new Key("P", "goes to the first piece on the sheet"),
                  new Key("A", "takes all pieces of the panel in the hand"),
                  new Key("N", "goes to the list of what can be added"),
                  new Key("B", "goes to the first field of the title block"),
                  new Key("I", "turns the cover over, where the inside is printed"),
                  new Key("Ctrl Z, Ctrl Shift Z", "undoes, does again"),
                  new Key(
                      "the browser’s copy, cut, paste",
                      "copy pieces, also to another cover in another window"),
                  new Key("?", "shows this page"))),
          new Group(
              "Title block",
              "while one of its fields has the keyboard",
              List.of(
                  new Key("Enter or Space", "opens a leaf, closes it"),
                  new Key("Escape", "closes the leaf that is open"),
                  new Key("up, down", "in the leaf of typefaces, to the next, to the one before"),
                  new Key(
                      "Enter, Escape",
                      "in what a fact says, goes to the question, takes back what was typed"))),
          new Group(
              "View",
              "while no field has the keyboard",
              List.of(
                  new Key("+ −", "larger, smaller"),
                  new Key("0", "the whole sheet as large as fits"),
                  new Key("1", "real size"),
                  new Key("2", "the panel of the piece in the hand as large as fits, or back"),
                  new Key("W", "guides: lines, areas, dimmed, none"),
                  new Key("K", "as trimmed, or the whole sheet"),
                  new Key(
                      "Ctrl and wheel, middle button", "zooms to the pointer, moves the sheet"))));

  /**
   * The page.
   *
   * @param back where from; only a bench is gone back to
   */
  @GetMapping("/keys")
  String page(@RequestParam(defaultValue = "") String back, Model model) {
    model.addAttribute("groups", GROUPS);
    model.addAttribute(
        "back", back.matches("/editions/\\d+/bench(\\?[\\w=&-]*)?") ? back : "/titles");
    return "keys";
  }
}
