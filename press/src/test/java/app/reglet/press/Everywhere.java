package app.reglet.press;

import app.reglet.core.book.Binding;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.wrap.Measuring;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A cover of every shipped house, binding and direction, in each of its trims. */
public final class Everywhere {
  private static final String[] IDS = {
    "gannet-and-gauge",
    "osier-row",
    "dunlin-casebinders",
    "whimbrel-digital",
    "sandling-and-daughters",
    "lantern-shelf",
    "harbour-reading-room"
  };

  private Everywhere() {}

  /** The measured outsides at these page counts; counts a table has no row for are left out. */
  public static List<Wrap> wraps(int... counts) {
    List<Wrap> wraps = new ArrayList<>();
    for (String id : IDS) {
      RuleSheet house = Specimen.house(id);
      for (Binding binding : house.bindings().keySet().stream().sorted().toList()) {
        for (Size trim : house.rules(binding).trims().listed()) {
          for (PageTurn turn : PageTurn.values()) {
            for (int pages : counts) {
              measured(house, binding, trim, turn, pages).ifPresent(wraps::add);
            }
          }
        }
      }
    }
    return wraps;
  }

  private static Optional<Wrap> measured(
      RuleSheet house, Binding binding, Size trim, PageTurn turn, int pages) {
    boolean ebook = binding == Binding.EBOOK;
    Specification spec =
        Specification.of(
                binding,
                trim,
                pages,
                ebook ? "" : house.stocks().get(0).id(),
                ebook ? "" : house.inks().get(0).id(),
                turn)
            .withToldSpine(Optional.of(new ToldSpine(Length.mm("0.07").times(pages), "for tests")));
    try {
      return Optional.of(Measuring.measure(spec, house));
    } catch (app.reglet.core.Refusal outsideTheTable) {
      return Optional.empty();
    }
  }

  /** What a wrap is, for messages. */
  public static String named(Wrap w) {
    return w.house().id()
        + " "
        + w.spec().binding().id()
        + " "
        + w.spec().trim().print(w.house().unit())
        + " "
        + w.spec().turn().id()
        + " "
        + w.spec().pages();
  }
}
