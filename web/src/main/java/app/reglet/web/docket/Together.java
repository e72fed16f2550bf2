package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.compare.InsideChange;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.carry.Carrying;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.BrokenCover;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The other editions of a title, when the inside of one became another. */
@Service
public class Together {
  private final FactsHistory history;
  private final FactsChanges facts;
  private final Changed changed;
  private final Covers covers;
  private final Carrying carrying;
  private final Editions editions;

  Together(
      FactsHistory history,
      FactsChanges facts,
      Changed changed,
      Covers covers,
      Carrying carrying,
      Editions editions) {
    this.history = history;
    this.facts = facts;
    this.changed = changed;
    this.covers = covers;
    this.carrying = carrying;
    this.editions = editions;
  }

  /**
   * Another edition, and what the same change would be there.
   *
   * @param name its binding and house
   * @param change {@code 312 → 352 pages}
   * @param said what it would do to the sheet and the pieces, or why it can't be
   * @param shares whether it had the same inside before
   * @param facts those it would take, by column; empty where it can't
   */
  public record Other(
      EditionEntity edition,
      String name,
      String change,
      String said,
      boolean shares,
      Map<String, String> facts) {}

  /** The other editions that the last change of an edition's count or trim would suit too. */
  public List<Other> others(EditionEntity of, Viewer viewer) {
    Optional<FactsHistory.Last> last = history.last(of.getId());
    if (last.isEmpty() || !(last.get().has("pages") || last.get().has("trim"))) {
      return List.of();
    }
    List<Other> others = new ArrayList<>();
    for (EditionEntity e : editions.ofBook(of.getBook().getId())) {
      if (!e.getId().equals(of.getId())) {
        try {
          other(of, e, last.get(), viewer).ifPresent(others::add);
        } catch (BrokenCover | Refusal unreadable) {
          // an edition that can't be read is told of on its own pages
        }
      }
    }
    return others;
  }

  private Optional<Other> other(
      EditionEntity of, EditionEntity e, FactsHistory.Last last, Viewer viewer) {
    Cover before = covers.of(e, viewer);
    if (e.getPages() == null || of.getPages() == null) {
      return Optional.empty();
    }
    String count = last.was("pages");
    InsideChange change =
        new InsideChange(
            Optional.ofNullable(last.was("trim")).map(t -> Size.parse(t, Unit.MM)),
            of.getTrim(),
            count == null ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(count)),
            of.getPages());
    boolean follows =
        carrying.isKin(of, e) && !history.changedSince(e.getId(), "edition.pages", last.made());
    return change
        .in(e.specification(e.getPages()), before.house().rules(e.getBinding()), follows)
        .map(there -> other(before, there, of.getTrim(), viewer));
  }

  private Other other(Cover before, InsideChange.Elsewhere there, Size trim, Viewer viewer) {
    EditionEntity e = before.edition();
    Specification facts = there.facts();
    EditionEntity now = e.as(Map.of());
    List<String> change = new ArrayList<>();
    if (!there.trimOffered() || !facts.trim().equals(e.getTrim())) {
      change.add("trim " + trim.print(before.unit()));
      now.setTrim("", facts.trim());
    }
    if (facts.pages() != e.getPages()) {
      change.add(e.getPages() + " → " + facts.pages() + " pages");
      now.setPages(String.valueOf(facts.pages()), facts.pages());
    }
    if (!there.trimOffered()) {
      return new Other(
          e,
          name(before),
          String.join(", ", change),
          "This house does not offer " + trim.print(before.unit()) + " in this binding",
          false,
          Map.of());
    }
    Map<String, String> columns = differing(e.columns(), now.columns());
    List<String> said = Changed.said(before, changed.with(e, columns, viewer));
    return new Other(
        e,
        name(before),
        String.join(", ", change),
        said.isEmpty() ? "nothing on the sheet is another" : String.join("; ", said),
        there.shares(),
        columns);
  }

  private static String name(Cover cover) {
    return cover.edition().getBinding().title() + ", " + cover.house().name();
  }

  private static Map<String, String> differing(Map<String, String> was, Map<String, String> is) {
    Map<String, String> facts = new LinkedHashMap<>(is);
    facts.entrySet().removeIf(f -> Objects.equals(f.getValue(), was.get(f.getKey())));
    return facts;
  }

  /**
   * Changes other editions as one was changed: each can be taken back on its own docket.
   *
   * @return those that were changed
   */
  @Transactional
  public List<Other> change(EditionEntity of, Set<Long> ids, Viewer viewer) {
    List<Other> chosen =
        others(of, viewer).stream()
            .filter(o -> ids.contains(o.edition().getId()) && !o.facts().isEmpty())
            .toList();
    chosen.forEach(o -> facts.take(o.edition().getId(), o.facts()));
    return chosen;
  }
}
