package app.reglet.web.proof;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.colour.ProofTable;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.PrintedSheet;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Fronts;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Covers as they come from the press, on the screen. */
@Service
public class Proofs {
  private static final int WIDE = 1400;
  private static final int MOST_KEPT = 4;

  private final Conditions conditions;

  /** What was drawn last, by cover and inks: some 10 MB each. */
  private final Map<String, PrintedSheet> sheets = latest(MOST_KEPT);

  private final Map<String, PressInks> inks = latest(6);
  private final Map<String, ProofTable> tables = latest(6);

  Proofs(Conditions conditions) {
    this.conditions = conditions;
  }

  private static <V> Map<String, V> latest(int most) {
    return new LinkedHashMap<>(16, 0.75f, true) {
      private static final long serialVersionUID = 1L;

      @Override
      protected boolean removeEldestEntry(Map.Entry<String, V> eldest) {
        return size() > most;
      }
    };
  }

  private static <V> V kept(Map<String, V> map, String key, Supplier<V> making) {
    synchronized (map) {
      V value = map.get(key);
      if (value == null) {
        value = making.get();
        map.put(key, value);
      }
      return value;
    }
  }

  /** What can be seen. */
  public enum View {
    PRINTED("printed", "as printed"),
    PAPER("paper", "as printed, on the paper’s white"),
    INK("ink", "total ink"),
    CYAN("cyan", "cyan plate"),
    MAGENTA("magenta", "magenta plate"),
    YELLOW("yellow", "yellow plate"),
    BLACK("black", "black plate");

    private final String id;
    private final String title;

    View(String id, String title) {
      this.id = id;
      this.title = title;
    }

    public String id() {
      return id;
    }

    public String title() {
      return title;
    }

    static View byId(String id) {
      for (View v : values()) {
        if (v.id.equals(id)) {
          return v;
        }
      }
      throw new Refusal("view", "There is no view “" + id + "” of a printed sheet.");
    }
  }

  /**
   * The condition that a cover is printed in: its house's; of one that wants sRGB what it most
   * likely converts to.
   */
  Condition condition(Cover cover) {
    return conditions.byId(cover.house().files().press().condition());
  }

  /** The inks of a cover's house. */
  public PressInks inks(Cover cover) {
    return inks(cover.house().files().press(), condition(cover));
  }

  private PressInks inks(PressRules rules, Condition condition) {
    return kept(
        inks,
        condition.profile().sha()
            + rules.intent()
            + rules.blackPoint()
            + rules.mostInk()
            + rules.richBlack().text(),
        () -> PressInks.of(condition.profile(), rules));
  }

  /** A cover as it is printed; empty for one that is not. */
  Optional<PrintedSheet> sheet(Cover cover) {
    if (cover.edition().getBinding().isInPixels() || cover.art().isEmpty()) {
      return Optional.empty();
    }
    Artwork art = cover.art().get();
    Condition condition = condition(cover);
    PressRules rules = cover.house().files().press();
    PressInks limited = inks(rules, condition);
    return Optional.of(
        kept(
            sheets,
            Fronts.key(cover.edition())
                + cover.side()
                + condition.profile().sha()
                + rules.mostInk(),
            () -> PrintedSheet.of(art, limited, inks(rules.withMostInk(400), condition), WIDE)));
  }

  /** A picture of it, PNG. */
  byte[] picture(Cover cover, View view) {
    PrintedSheet sheet =
        sheet(cover)
            .orElseThrow(
                () -> new Refusal("view", "An ebook cover is not printed: it has no inks."));
    BufferedImage image =
        switch (view) {
          case PRINTED, PAPER -> sheet.seen(table(condition(cover), view == View.PAPER));
          case INK -> sheet.map();
          case CYAN -> sheet.plate(0);
          case MAGENTA -> sheet.plate(1);
          case YELLOW -> sheet.plate(2);
          case BLACK -> sheet.plate(3);
        };
    try {
      return ScreenPicture.png(image);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private ProofTable table(Condition condition, boolean paper) {
    return kept(
        tables, condition.profile().sha() + paper, () -> ProofTable.of(condition.profile(), paper));
  }
}
