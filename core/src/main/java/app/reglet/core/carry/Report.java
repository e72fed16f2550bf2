package app.reglet.core.carry;

import app.reglet.core.check.Finding;
import app.reglet.core.design.Content;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Words;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Length;
import app.reglet.core.wrap.PanelKind;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What became of every piece of a cover, and of the cover, when it was carried or its facts
 * changed. It is read off both covers as they came out; nothing is taken on trust.
 *
 * @param fates of the pieces, in the order in which they lie
 * @param found what checks say of the cover now and did not before, that is of no piece
 * @param mirrored whether the picture over the whole sheet is seen in a mirror now
 */
public record Report(List<Fate> fates, List<Finding> found, boolean mirrored) {
  private static final Length SAME = Length.mm("0.01");

  /** Sizes of type are kept to small units of Reglet's own. */
  private static final Length SAME_TYPE = Length.mm("0.005");

  private static final double SAME_RATIO = 0.002;

  public Report {
    fates = List.copyOf(fates);
    found = List.copyOf(found);
  }

  /** What became of one side. */
  public static Report of(Seen before, Seen after) {
    Set<String> ids = new LinkedHashSet<>();
    after.side().pieces().forEach(p -> ids.add(p.id()));
    before.side().pieces().forEach(p -> ids.add(p.id()));
    List<Fate> fates = new ArrayList<>();
    for (String id : ids) {
      fate(id, before, after).ifPresent(fates::add);
    }
    Predicate<Finding> ofNone =
        f -> f.piece().filter(p -> ids.contains(after.side().looseOf(p))).isEmpty();
    return new Report(
        fates,
        fresh(before, after).stream().filter(ofNone).toList(),
        !isMirrored(before).equals(isMirrored(after)) && isMirrored(before).isPresent());
  }

  private static Optional<Boolean> isMirrored(Seen seen) {
    return seen.side().ground().picture().map(p -> p.framing().mirrored());
  }

  /** What was found before of the same piece, by the same check, is not new. */
  private static List<Finding> fresh(Seen before, Seen after) {
    return after.findings().stream()
        .filter(
            f ->
                before.findings().stream()
                    .noneMatch(b -> b.code().equals(f.code()) && b.piece().equals(f.piece())))
        .toList();
  }

  private static Optional<Fate> fate(String id, Seen before, Seen after) {
    Optional<Piece> was = before.piece(id);
    Optional<Piece> is = after.piece(id);
    if (was.isEmpty() && is.isEmpty()) {
      return Optional.empty(); // it was out of sight before, and is
    }
    Optional<Fate.Place> from = was.map(p -> place(before, p));
    Optional<Fate.Place> to = is.map(p -> place(after, p));
    List<Finding> found =
        fresh(before, after).stream()
            .filter(f -> f.piece().filter(p -> after.side().looseOf(p).equals(id)).isPresent())
            .toList();
    EnumSet<Fate.Change> changes = EnumSet.noneOf(Fate.Change.class);
    if (was.isEmpty()) {
      changes.add(Fate.Change.ADDED);
    } else if (is.isEmpty()) {
      changes.add(Fate.Change.SET_ASIDE);
    } else {
      compare(was.get(), is.get(), from.orElseThrow(), to.orElseThrow(), changes);
    }
    if (!found.isEmpty()) {
      changes.add(Fate.Change.UNFIT);
    }
    if (changes.isEmpty()) {
      changes.add(Fate.Change.KEPT);
    }
    String name = is.or(() -> was).map(Piece::name).orElseThrow();
    return Optional.of(new Fate(id, name, changes, from, to, found));
  }

  private static Fate.Place place(Seen seen, Piece piece) {
    Box box = seen.box(piece);
    Optional<PanelKind> panel = seen.panel(box);
    return new Fate.Place(panel, seen.on(panel, box), seen.size(piece.id()));
  }

  private static void compare(
      Piece was, Piece is, Fate.Place from, Fate.Place to, Set<Fate.Change> changes) {
    if (!from.panel().equals(to.panel())) {
      changes.add(Fate.Change.NEW_PANEL);
    }
    boolean sized =
        !near(from.box().width(), to.box().width())
            || !near(from.box().height(), to.box().height());
    if (sized) {
      changes.add(Fate.Change.SCALED);
    }
    if (!near(from.box().left(), to.box().left()) || !near(from.box().top(), to.box().top())) {
      changes.add(Fate.Change.MOVED);
    }
    if (from.type().isPresent()
        && to.type().isPresent()
        && from.type().get().minus(to.type().get()).abs().isMoreThan(SAME_TYPE)) {
      changes.add(Fate.Change.RESET);
    }
    if (was.content() instanceof Content.Picture a && is.content() instanceof Content.Picture b) {
      double ratio =
          from.box().width().toMm()
              * to.box().height().toMm()
              / (from.box().height().toMm() * to.box().width().toMm());
      boolean mirrored = a.framing().mirrored() != b.framing().mirrored();
      if (mirrored) {
        changes.add(Fate.Change.MIRRORED);
      }
      if (!mirrored && !a.framing().equals(b.framing()) || Math.abs(ratio - 1) > SAME_RATIO) {
        changes.add(Fate.Change.RECROPPED);
      }
    }
    if (was.content() instanceof Words a
        && is.content() instanceof Words b
        && a.setting().direction() != b.setting().direction()) {
      changes.add(Fate.Change.TURNED);
    }
    if (was.content() instanceof Words a
        && is.content() instanceof Words b
        && !(a.fact() == b.fact() && a.text().equals(b.text()))) {
      changes.add(Fate.Change.REWORDED);
    }
  }

  private static boolean near(Length a, Length b) {
    return !a.minus(b).abs().isMoreThan(SAME);
  }

  /** How many pieces are another in something. */
  public long count(Fate.Change change) {
    return fates.stream().filter(f -> f.is(change)).count();
  }
}
