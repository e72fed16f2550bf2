package app.reglet.web.bench;

import app.reglet.core.book.Fact;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Panel;
import app.reglet.core.wrap.PanelKind;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What can be put on a cover, by kind.
 *
 * @param name of the kind, {@code Words on the front}
 * @param choices in it
 */
public record Addable(String name, List<Choice> choices) {
  /**
   * Something that can be put on a cover.
   *
   * @param what as the browser sends it: {@code front:title}, {@code shape:ellipse}, {@code
   *     frame:front}
   */
  public record Choice(String what, String name) {}

  static List<Addable> of(Wrap wrap) {
    List<Addable> all = new ArrayList<>();
    words(all, wrap, PanelKind.FRONT, Fact.TITLE, Fact.SUBTITLE, Fact.AUTHOR, Fact.SERIES, null);
    words(all, wrap, PanelKind.SPINE, Fact.TITLE, Fact.AUTHOR, Fact.IMPRINT);
    words(all, wrap, PanelKind.BACK, Fact.BLURB, Fact.QUOTE, Fact.PRICE, Fact.IMPRINT, null);
    words(all, wrap, PanelKind.FRONT_FLAP, Fact.BLURB, null);
    words(all, wrap, PanelKind.BACK_FLAP, Fact.ABOUT_THE_AUTHOR, null);
    all.add(
        new Addable(
            "Shape",
            List.of(
                new Choice("band", "Band of colour"),
                new Choice("shape:rectangle", "Rectangle"),
                new Choice("shape:ellipse", "Ellipse"),
                new Choice("shape:polygon", "Polygon"),
                new Choice("shape:star", "Star"),
                new Choice("shape:free", "Free polygon"),
                new Choice("shape:level", "Line"))));
    all.add(new Addable("Frame", frames(wrap)));
    List<Choice> more = new ArrayList<>();
    more.add(new Choice("picture", "Picture, SVG or PDF…"));
    more.add(new Choice("ornament:compass", "Ornament"));
    more.add(new Choice("pattern:scale", "Pattern"));
    if (wrap.box(Region.BARCODE).isPresent() && !wrap.rules().printsBarcode()) {
      more.add(new Choice("barcode", "Barcode"));
    }
    all.add(new Addable("More", more));
    return all;
  }

  private static List<Choice> frames(Wrap wrap) {
    List<Choice> frames = new ArrayList<>();
    for (Panel p : wrap.panels()) {
      if (!p.kind().isHinge() && !p.safe().isEmpty()) {
        frames.add(
            new Choice(
                "frame:" + p.kind().id(),
                "round the " + p.kind().title().toLowerCase(Locale.ROOT)));
      }
    }
    if (frames.size() > 1) {
      frames.add(new Choice("frame:whole", "round the whole cover"));
    }
    return frames;
  }

  private static void words(List<Addable> all, Wrap wrap, PanelKind panel, Fact... facts) {
    boolean inside = wrap.page() == FilePage.INSIDE;
    if (wrap.panel(panel).isEmpty() || inside && wrap.panel(panel).get().safe().isEmpty()) {
      return;
    }
    List<Choice> choices = new ArrayList<>();
    for (Fact f : facts) {
      choices.add(
          new Choice(
              panel.id() + ":" + (f == null ? "own" : f.id()),
              f == null ? "Words of its own" : f.title()));
    }
    if (panel == PanelKind.SPINE) {
      choices.add(new Choice("line", "One line of author, title, imprint"));
    }
    all.add(new Addable("Words on the " + wrap.nameOf(panel).toLowerCase(Locale.ROOT), choices));
  }
}
