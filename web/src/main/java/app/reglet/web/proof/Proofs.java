package app.reglet.web.proof;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.press.art.Artwork;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.colour.ProofTable;
import app.reglet.press.picture.ScreenPicture;
import app.reglet.press.raster.InkPixels;
import app.reglet.press.raster.PrintedSheet;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.Latest;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.springframework.stereotype.Service;

/** Covers as they come from the press, on the screen. */
@Service
public class Proofs {
  private static final int WIDE = 1400;
  private static final int MOST_KEPT = 4;

  /** Total ink without a limit: four inks in full, percent. */
  private static final int UNLIMITED = 400;

  private final Conditions conditions;

  /** What was drawn last, by cover and inks: some 10 MB each. */
  private final Latest<PrintedSheet> sheets = new Latest<>(MOST_KEPT);

  private final Latest<ProofTable> tables = new Latest<>(MOST_KEPT);

  Proofs(Conditions conditions) {
    this.conditions = conditions;
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
    return conditions.inks(cover.house().files().press());
  }

  /** Whether a cover is printed. */
  boolean isPrinted(Cover cover) {
    return !cover.edition().getBinding().isInPixels() && cover.art().isPresent();
  }

  /**
   * A cover as it is printed.
   *
   * @throws Refusal when it is not
   */
  PrintedSheet sheet(Cover cover) {
    if (!isPrinted(cover)) {
      throw new Refusal("view", "An ebook cover is not printed: it has no inks.");
    }
    Artwork art = cover.art().orElseThrow();
    Condition condition = condition(cover);
    PressRules rules = cover.house().files().press();
    return sheets.computeIfAbsent(
        Fronts.key(cover.edition()) + cover.side() + condition.profile().sha() + rules.mostInk(),
        k ->
            PrintedSheet.of(
                art, conditions.inks(rules), conditions.inks(rules.withMostInk(UNLIMITED)), WIDE));
  }

  /**
   * A cover as it is printed, and other inks of the same press beside it.
   *
   * @throws Refusal when it is not printed
   */
  public BufferedImage printed(Cover cover) {
    return sheet(cover).seen(table(condition(cover), false));
  }

  /** How inks look in the condition of a cover's house. */
  public BufferedImage printed(Cover cover, InkPixels inks) {
    return new PrintedSheet(inks, 0, new short[0]).seen(table(condition(cover), false));
  }

  /** A picture of it, PNG. */
  byte[] picture(Cover cover, View view) {
    PrintedSheet sheet = sheet(cover);
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
    return tables.computeIfAbsent(
        condition.profile().sha() + paper, k -> ProofTable.of(condition.profile(), paper));
  }
}
