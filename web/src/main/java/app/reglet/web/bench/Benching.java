package app.reglet.web.bench;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.core.check.Finding;
import app.reglet.core.check.Remedy;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Ground;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.core.edit.Arrangement;
import app.reglet.core.edit.Edit;
import app.reglet.core.edit.EditReader;
import app.reglet.core.edit.EditSentence;
import app.reglet.core.edit.Editing;
import app.reglet.core.edit.Starting;
import app.reglet.core.layout.Dress;
import app.reglet.core.wrap.PanelKind;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Pixels;
import app.reglet.web.docket.Saying;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.StandingOut;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes of a cover: read, carried out, looked at and stored, in that order. */
@Service
public class Benching {
  private final Covers covers;
  private final Revisions revisions;
  private final BenchStock stock;
  private final Looks looks;
  private final Saying saying;
  private final StandingOut standing;
  private final PictureStore pictures;

  Benching(
      Covers covers,
      Revisions revisions,
      BenchStock stock,
      Looks looks,
      Saying saying,
      StandingOut standing,
      PictureStore pictures) {
    this.pictures = pictures;
    this.looks = looks;
    this.standing = standing;
    this.saying = saying;
    this.covers = covers;
    this.revisions = revisions;
    this.stock = stock;
  }

  /** The side that a request names; the outside when it names none. */
  public static PrintedSide side(String named) {
    return PrintedSide.INSIDE.id().equals(named) ? PrintedSide.INSIDE : PrintedSide.OUTSIDE;
  }

  /** A side of a cover. */
  public Cover of(EditionEntity edition, PrintedSide side, Viewer viewer) {
    Cover cover = covers.of(edition, viewer);
    return side == PrintedSide.INSIDE ? covers.turned(cover) : cover;
  }

  /**
   * A change that was made.
   *
   * @param before the cover before it
   * @param after the cover after it
   * @param undoable what undo would take back, empty for nothing
   * @param redoable what redo would do again, empty for nothing
   */
  public record Changed(
      Cover before, Cover after, Optional<String> undoable, Optional<String> redoable) {}

  /** A change as a form or a script sent it. */
  @Transactional
  public Changed edit(Long id, int base, Map<String, String> fields, Viewer viewer) {
    if ("paste".equals(fields.get("edit"))) {
      return edit(id, base, side(fields.get("side")), pasting(id, fields, viewer), viewer);
    }
    if ("look".equals(fields.get("edit"))) {
      return edit(
          id, base, side(fields.get("side")), cover -> looks.wearing(cover, fields), viewer);
    }
    return edit(
        id,
        base,
        side(fields.get("side")),
        cover -> EditReader.read(fields, cover.unit(), cover.design(), found(cover, fields), stock),
        viewer);
  }

  /** What a remedy may be of; words are measured anew only where one is asked for. */
  private List<Finding> found(Cover cover, Map<String, String> fields) {
    return ("mend".equals(fields.get("edit")) ? standing.with(cover) : cover).findings();
  }

  /**
   * Makes words follow a fact again that were typed on the sheet, and the fact say what they did:
   * both or neither.
   *
   * @param piece the words
   * @param said what the page showed the fact to say
   * @param text what it is to say
   */
  @Transactional
  public void followed(
      Long id, int base, String piece, Fact fact, String said, String text, Viewer viewer) {
    Map<String, String> follows = Map.of("edit", "set", "piece", piece, "source", fact.id());
    edit(id, base, follows, viewer);
    saying.say(id, fact, said, text);
  }

  /** Pieces that were copied, on this cover or another: put beside themselves, or here. */
  private Function<Cover, Edit> pasting(Long id, Map<String, String> fields, Viewer viewer) {
    List<String> ids = List.of(fields.getOrDefault("piece", "").split(","));
    Long from;
    try {
      from = Long.valueOf(fields.getOrDefault("from", ""));
    } catch (NumberFormatException e) {
      throw new Refusal("What was copied names no cover: copy it again.");
    }
    PrintedSide fromSide = side(fields.get("fromSide"));
    if (from.equals(id) && fromSide == side(fields.get("side"))) {
      return cover -> new Arrangement.Copy(ids, Optional.empty(), false);
    }
    Design source = covers.of(from, viewer).design();
    List<Piece> copied =
        source.side(fromSide).pieces().stream().filter(p -> ids.contains(p.id())).toList();
    return cover -> new Arrangement.Paste(copied, source.palette());
  }

  /** A change that is made of the cover as it is. */
  @Transactional
  public Changed edit(
      Long id, int base, PrintedSide side, Function<Cover, Edit> making, Viewer viewer) {
    EditionEntity edition = covers.edition(id);
    Revisions.expect(edition, base);
    Cover before = of(edition, side, viewer);
    Edit edit = making.apply(before);
    Design design =
        Editing.apply(edit, before.design(), before.sheet(), before.book(), before.unit());
    if (design.equals(before.design())) {
      return new Changed(before, before, revisions.undoable(edition), revisions.redoable(edition));
    }
    Cover after = covers.of(before, design);
    String run = typing(edit, before.design());
    if (!run.isEmpty()) {
      begin(before, after);
    }
    String what = EditSentence.of(edit, before.design(), before.unit());
    revisions.add(edition, design, what, run);
    return new Changed(before, after, Optional.of(what), Optional.empty());
  }

  /**
   * Mends all that can be mended with nothing for a person to judge, as one change. A remedy that
   * doesn't help is not carried out.
   */
  @Transactional
  public Changed mendAll(Long id, int base, PrintedSide side, Viewer viewer) {
    EditionEntity edition = covers.edition(id);
    Revisions.expect(edition, base);
    Cover before = of(edition, side, viewer);
    Cover now = standing.looked(before);
    Set<String> tried = new HashSet<>();
    List<String> done = new ArrayList<>();
    for (Optional<Finding> next = safe(now, tried); next.isPresent(); next = safe(now, tried)) {
      Finding f = next.get();
      tried.add(key(f));
      Remedy.OfDesign remedy = f.safeRemedy().orElseThrow();
      Design design =
          Editing.apply(new Edit.Mend(remedy, ""), now.design(), now.sheet(), now.book());
      Cover mended = standing.looked(covers.of(now, design));
      boolean helped = mended.findings().stream().noneMatch(g -> key(g).equals(key(f)));
      if (helped && mended.findings().size() < now.findings().size()) {
        now = mended;
        done.add(remedy.label(before.unit()));
      }
    }
    if (done.isEmpty()) {
      throw new Refusal(
          "Nothing here can be mended without somebody's judgement: each note says what can be done.");
    }
    String what = done.size() + " mended: " + String.join("; ", done);
    revisions.add(edition, now.design(), what, "");
    return new Changed(before, now, Optional.of(what), Optional.empty());
  }

  private static Optional<Finding> safe(Cover cover, Set<String> tried) {
    return cover.findings().stream()
        .filter(f -> cover.isSafelyMended(f) && !tried.contains(key(f)))
        .findFirst();
  }

  private static String key(Finding f) {
    return f.code() + " " + f.piece().orElse("");
  }

  /** While the change is kept, the pictures are made that it shows otherwise. */
  private void begin(Cover before, Cover after) {
    Set<Pixels.Stored> known =
        before.art().stream()
            .flatMap(a -> a.parts().stream())
            .flatMap(Artwork.Part::pictures)
            .collect(Collectors.toSet());
    after.art().stream()
        .flatMap(a -> a.parts().stream())
        .flatMap(Artwork.Part::pictures)
        .filter(p -> !known.contains(p) && !p.treating().isNone())
        .forEach(p -> pictures.ahead(p.picture().sha(), p.treating()));
  }

  /**
   * What is changed in a run: a piece whose own words are typed and nothing else of it changes, or
   * what of a picture; else nothing.
   */
  private static String typing(Edit edit, Design before) {
    if (edit instanceof Starting.Wear
        || edit instanceof Starting.Lay lay && !lay.dress().equals(Dress.KEPT)) {
      return Revisions.TRYING;
    }
    if (edit instanceof Edit.Set set) {
      Content was = before.piece(set.piece()).map(Piece::content).orElse(null);
      if (set.content() instanceof Words now
          && was instanceof Words old
          && now.withText(old.text()).equals(old)) {
        return set.piece();
      }
      if (set.content() instanceof Content.Picture now && was instanceof Content.Picture old) {
        return run(set.piece(), now, old);
      }
    }
    if (edit instanceof Edit.SetGround set && set.ground() != null && set.ground().hasPicture()) {
      Optional<Ground> was = before.side(set.side()).ground(set.part());
      if (was.isPresent()
          && was.get().hasPicture()
          && set.ground().withPicture(was.get().picture().get()).equals(was.get())) {
        return run(
            set.side() + set.part().map(PanelKind::id).orElse(""),
            set.ground().picture().get(),
            was.get().picture().get());
      }
    }
    return "";
  }

  private static String run(String of, Content.Picture now, Content.Picture was) {
    String amount = now.amountOtherThan(was);
    return amount.isEmpty() ? "" : of + " " + amount;
  }

  @Transactional
  public Changed undo(Long id, int base, PrintedSide side, Viewer viewer) {
    Cover before = of(covers.edition(id), side, viewer);
    revisions.undo(id, base);
    return moved(before);
  }

  @Transactional
  public Changed redo(Long id, int base, PrintedSide side, Viewer viewer) {
    Cover before = of(covers.edition(id), side, viewer);
    revisions.redo(id, base);
    return moved(before);
  }

  private Changed moved(Cover before) {
    Cover after = covers.moved(before);
    return new Changed(
        before, after, revisions.undoable(after.edition()), revisions.redoable(after.edition()));
  }
}
