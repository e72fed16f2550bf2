package app.reglet.web.bench;

import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.check.ColourVision;
import app.reglet.core.check.Laid;
import app.reglet.core.design.Design;
import app.reglet.core.design.FactsUsed;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.wrap.Region;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Mark;
import app.reglet.press.art.PlacedPage;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.Treating;
import app.reglet.press.svg.Addresses;
import app.reglet.press.svg.ArtworkSvg;
import app.reglet.press.svg.BenchSvg;
import app.reglet.press.type.Typefaces;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Fronts;
import app.reglet.web.titles.MeasureLine;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the bench's page and its answers show. */
@Component
class BenchPage {
  private static final Addresses ADDRESSES =
      new Addresses() {
        @Override
        public String picture(Picture p, Treating treating) {
          return "/pictures/"
              + p.sha()
              + "/preview"
              + (treating.isNone() ? "" : "?as=" + treating.word());
        }

        @Override
        public String page(PlacedPage p) {
          return "/pictures/" + p.sha() + "/preview?page=" + (p.page() + 1);
        }
      };

  private final Revisions revisions;
  private final PictureStore pictures;
  private final PlacedFiles placed;
  private final Typefaces typefaces;

  BenchPage(Revisions revisions, PictureStore pictures, PlacedFiles placed, Typefaces typefaces) {
    this.revisions = revisions;
    this.pictures = pictures;
    this.placed = placed;
    this.typefaces = typefaces;
  }

  /** The whole page. */
  void fill(Model model, Cover cover, String chosen) {
    fillChosen(model, cover, chosen);
    model.addAttribute("exchange", false);
    model.addAttribute("madeOf", Fronts.facts(cover.edition()));
    model.addAttribute("undoable", revisions.undoable(cover.edition()).orElse(null));
    model.addAttribute("redoable", revisions.redoable(cover.edition()).orElse(null));
    model.addAttribute("visions", ColourVision.values());
    if (cover.wrap().isPresent()) {
      model.addAttribute("data", BenchModel.of(cover).json());
      model.addAttribute("sheet", BenchSvg.of(cover.art().orElseThrow(), cover.unit(), ADDRESSES));
    }
  }

  /** What choosing a piece changes: title block and list. */
  void fillChosen(Model model, Cover cover, String chosen) {
    model.addAttribute("cover", cover);
    model.addAttribute("place", "bench");
    model.addAttribute("line", MeasureLine.counted(cover));
    model.addAttribute("base", cover.edition().getRevision());
    model.addAttribute("facts", Fact.values());
    model.addAttribute("named", named(cover));
    GroundView ground = GroundView.of(chosen, cover, placed);
    model.addAttribute("ground", ground);
    model.addAttribute("families", MotifView.FAMILIES);
    model.addAttribute(
        "aboutPicture",
        ground.ground().picture().flatMap(p -> pictures.about(p.sha())).orElse(null));
    List<Piece> hand = hand(cover.design(), chosen);
    Piece piece = hand.size() == 1 ? hand.get(0) : null;
    model.addAttribute("piece", piece);
    model.addAttribute("several", hand.size() > 1 ? hand : List.of());
    model.addAttribute("chosenIds", hand.stream().map(Piece::id).toList());
    model.addAttribute(
        "chosen",
        hand.isEmpty()
            ? ground.chosen()
            : hand.stream().map(Piece::id).collect(Collectors.joining(",")));
    model.addAttribute("block", TitleBlock.of(piece, cover, placed));
    fillWords(model, cover, piece);
    model.addAttribute("stay", false);
    model.addAttribute("exchange", true);
    cover
        .wrap()
        .ifPresent(
            wrap -> {
              model.addAttribute("regions", regions(wrap, piece));
              model.addAttribute("addable", Addable.of(wrap));
              model.addAttribute(
                  "panels",
                  wrap.panels().stream()
                      .filter(p -> !p.kind().isHinge())
                      .map(
                          p -> new Choice(p.kind().id(), p.kind().title().toLowerCase(Locale.ROOT)))
                      .toList());
              model.addAttribute("parts", Parts.of(cover.composition().pieces(), wrap));
            });
  }

  /** What can stand in words by its name in braces; what stands nowhere on the cover says so. */
  private static List<Choice> named(Cover cover) {
    List<Fact> nowhere = FactsUsed.missing(cover.design(), cover.book());
    return Stream.concat(
            Arrays.stream(Fact.values())
                .map(
                    f ->
                        new Choice(
                            "{" + f.id() + "}",
                            f.title() + (nowhere.contains(f) ? ", nowhere yet" : ""))),
            Stream.concat(
                Stream.of(
                    new Choice("{" + Book.CREDITS + "}", "Picture credits"),
                    new Choice("{" + Book.INITIAL + "}", "First letter of the title"),
                    new Choice("{" + Book.BEGINNING + "}", "First paragraph of the blurb"),
                    new Choice("{" + Book.REST + "}", "Rest of the blurb")),
                cover.book().further().own().keySet().stream()
                    .sorted()
                    .map(name -> new Choice("{" + name + "}", name))))
        .toList();
  }

  private void fillWords(Model model, Cover cover, Piece piece) {
    boolean words = piece != null && piece.content() instanceof Words;
    String face = words ? ((Words) piece.content()).type().face() : "";
    boolean here = words && typefaces.has(face);
    model.addAttribute("faceName", here ? typefaces.get(face).name() : words ? "not here" : "");
    model.addAttribute(
        "form",
        words ? WordsForm.of(piece, (Words) piece.content(), cover.design(), cover.unit()) : null);
    model.addAttribute(
        "said",
        here
            ? WordsView.of((Words) piece.content(), typefaces.get(face), lacks(cover, piece))
            : null);
  }

  private static Set<Laid.Lack> lacks(Cover cover, Piece piece) {
    return cover
        .art()
        .flatMap(
            art ->
                art.laid().stream()
                    .filter(l -> l.piece().equals(piece.id()) && l instanceof Laid.Words)
                    .map(l -> ((Laid.Words) l).lacks())
                    .findFirst())
        .orElse(Set.of());
  }

  /** The pieces in the hand that are there, each once; ids are parted by commas. */
  private static List<Piece> hand(Design design, String chosen) {
    return Arrays.stream(chosen.split(","))
        .distinct()
        .map(design::piece)
        .flatMap(Optional::stream)
        .toList();
  }

  /** The figures of the piece in the hand where nothing else of its block is another; else null. */
  private String figures(Model model, Cover before, Cover after, String shown) {
    if (!(model.getAttribute("block") instanceof TitleBlock now)
        || !shown.equals(now.piece().id())
        || !model.getAttribute("chosen").equals(shown)
        || !after.design().palette().equals(before.design().palette())) {
      return null;
    }
    TitleBlock was =
        before.design().piece(shown).map(p -> TitleBlock.of(p, before, placed)).orElse(null);
    return was != null && now.isOtherFiguresOf(was) ? now.figures() : null;
  }

  /**
   * What a change changes.
   *
   * @param chosen what is in the hand after it
   * @param shown what the page shows as in the hand
   */
  void fillChange(Model model, Benching.Changed changed, String chosen, String shown) {
    Cover before = changed.before();
    Cover after = changed.after();
    fillChosen(model, after, chosen);
    Artwork art = after.art().orElseThrow();
    List<Artwork.Part> others = others(before.art().orElse(null), art);
    model.addAttribute("undoable", changed.undoable().orElse(null));
    model.addAttribute("redoable", changed.redoable().orElse(null));
    model.addAttribute("change", BenchModel.change(after, others));
    model.addAttribute("art", drawn(changed, others));
    model.addAttribute(
        "order", art.marks().stream().map(Mark.Group::name).collect(Collectors.joining(" ")));
    model.addAttribute("notesStay", before.findings().equals(after.findings()));
    model.addAttribute("figures", figures(model, before, after, shown));
    model.addAttribute(
        "listStays",
        shown.equals(model.getAttribute("chosen")) && list(before).equals(list(after)));
  }

  /** What the list of pieces says. */
  private static String list(Cover cover) {
    return Parts.shown(Parts.of(cover.composition().pieces(), cover.sheet()))
        + cover.art().map(Artwork::absent).orElse(List.of());
  }

  /** The parts of pieces that are not the very ones from before. */
  private static List<Artwork.Part> others(Artwork before, Artwork after) {
    Set<Artwork.Part> same = Collections.newSetFromMap(new IdentityHashMap<>());
    if (before != null) {
      same.addAll(before.parts());
    }
    return after.parts().stream().filter(p -> p.piece() != null && !same.contains(p)).toList();
  }

  private static List<String> drawn(Benching.Changed changed, List<Artwork.Part> others) {
    Design before = changed.before().design();
    Design after = changed.after().design();
    PrintedSide side = changed.after().side();
    boolean ground =
        !before.side(side).grounds().toList().equals(after.side(side).grounds().toList())
            || !before.side(side).parts().keySet().equals(after.side(side).parts().keySet())
            || !before.palette().equals(after.palette());
    Stream<Artwork.Part> all =
        ground
            ? Stream.concat(
                changed.after().art().orElseThrow().parts().stream().limit(1), others.stream())
            : others.stream();
    Map<String, Mark.Group> shown = new HashMap<>();
    changed.before().art().ifPresent(a -> a.marks().forEach(g -> shown.put(g.name(), g)));
    return all.flatMap(p -> p.marks().stream())
        .map(
            g ->
                shown.containsKey(g.name())
                    ? ArtworkSvg.piece(g, ADDRESSES, shown.get(g.name()))
                    : ArtworkSvg.piece(g, ADDRESSES))
        .toList();
  }

  /** A region a piece can hang on, as people say it. */
  public record Choice(String id, String name) {}

  private static List<Choice> regions(Wrap wrap, Piece piece) {
    List<Choice> regions = new ArrayList<>();
    if (piece != null && piece.anchors().across().region().equals(Region.GROUP)) {
      return List.of(choice(Region.GROUP, wrap));
    }
    wrap.panels().stream()
        .filter(p -> !p.kind().isHinge())
        .forEach(
            p -> {
              regions.add(choice(Region.safe(p.kind()), wrap));
              regions.add(choice(Region.trim(p.kind()), wrap));
              regions.add(choice(new Region(Region.Bounds.BLEED, p.kind()), wrap));
            });
    regions.add(choice(Region.TRIMMED, wrap));
    regions.add(choice(Region.SHEET, wrap));
    if (wrap.box(Region.BARCODE).isPresent()) {
      regions.add(choice(Region.BARCODE, wrap));
    }
    return regions;
  }

  private static Choice choice(Region region, Wrap wrap) {
    return new Choice(region.id(), RegionName.of(region, wrap));
  }
}
