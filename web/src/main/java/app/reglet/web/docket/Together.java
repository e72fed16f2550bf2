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
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The other editions of a title, when the inside of one became another. Count and trim are one fact
 * for all that share an inside: where one was changed, the others are told until they take it or
 * are left as they are.
 */
@Service
public class Together {
  private final FactsHistory history;
  private final FactsChanges facts;
  private final Changed changed;
  private final Covers covers;
  private final Carrying carrying;
  private final Editions editions;
  private final LeftApart leftApart;

  Together(
      FactsHistory history,
      FactsChanges facts,
      Changed changed,
      Covers covers,
      Carrying carrying,
      Editions editions,
      LeftApart leftApart) {
    this.leftApart = leftApart;
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

  /** The other editions that have not taken what this one's count or trim became. */
  public List<Other> others(EditionEntity of, Viewer viewer) {
    List<Other> others = new ArrayList<>();
    for (EditionEntity e : siblings(of)) {
      would(of, e, viewer).map(w -> other(w, viewer)).ifPresent(others::add);
    }
    return others;
  }

  /**
   * What another edition's count or trim became, which an edition has not taken.
   *
   * @param from where it was changed
   * @param name of that edition: its binding and house
   * @param change what would be another here, {@code 312 → 352 pages}
   * @param facts those it would take, by column; empty where its house does not offer them
   */
  public record Apart(EditionEntity from, String name, String change, Map<String, String> facts) {}

  /** What other editions changed and this one has not taken, the same only once. */
  public List<Apart> apart(EditionEntity edition, Viewer viewer) {
    Map<String, Apart> apart = new LinkedHashMap<>();
    for (EditionEntity from : siblings(edition)) {
      would(from, edition, viewer)
          .ifPresent(
              w ->
                  apart.putIfAbsent(
                      w.change(),
                      new Apart(from, name(covers.of(from, viewer)), w.change(), w.facts())));
    }
    return List.copyOf(apart.values());
  }

  /** The other editions that have not taken what this one changed: their names and what it is. */
  public List<Apart> behind(EditionEntity of, Viewer viewer) {
    return siblings(of).stream()
        .flatMap(
            e ->
                would(of, e, viewer).stream()
                    .map(w -> new Apart(e, name(w.before()), w.change(), w.facts())))
        .toList();
  }

  private List<EditionEntity> siblings(EditionEntity of) {
    return editions.ofBook(of.getBook().getId()).stream()
        .filter(e -> !e.getId().equals(of.getId()))
        .toList();
  }

  /** What an edition would take; nothing drawn or measured yet. */
  private record Would(Cover before, String change, boolean shares, Map<String, String> facts) {}

  /**
   * What an edition would take of another's count and trim: what changed there since it was changed
   * here, since this edition is there, and since it was last left as it is.
   */
  private Optional<Would> would(EditionEntity of, EditionEntity e, Viewer viewer) {
    try {
      if (e.getPages() == null || of.getPages() == null) {
        return Optional.empty();
      }
      Optional<String> trim = was(of, e, "edition.trim");
      Optional<String> count = was(of, e, "edition.pages");
      if (trim.isEmpty() && count.isEmpty()) {
        return Optional.empty();
      }
      Cover before = covers.of(e, viewer);
      InsideChange change =
          new InsideChange(
              trim.map(t -> Size.parse(t, Unit.MM)),
              of.getTrim(),
              count.map(c -> OptionalInt.of(Integer.parseInt(c))).orElse(OptionalInt.empty()),
              of.getPages());
      return change
          .in(
              e.specification(e.getPages()),
              before.house().rules(e.getBinding()),
              carrying.isKin(of, e))
          .map(there -> would(before, there, of.getTrim()));
    } catch (BrokenCover | Refusal unreadable) {
      return Optional.empty(); // an edition that can't be read is told of on its own pages
    }
  }

  private Optional<String> was(EditionEntity of, EditionEntity e, String column) {
    Instant since =
        Stream.of(
                e.getCreated(),
                history.changed(e.getId(), column),
                leftApart.since(e.getId(), of.getId()))
            .max(Comparator.naturalOrder())
            .orElseThrow();
    return history.before(of.getId(), column, since);
  }

  private static Would would(Cover before, InsideChange.Elsewhere there, Size trim) {
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
    return new Would(
        before,
        String.join(", ", change),
        there.trimOffered() && there.shares(),
        there.trimOffered() ? differing(e.columns(), now.columns()) : Map.of());
  }

  private Other other(Would would, Viewer viewer) {
    EditionEntity e = would.before().edition();
    String said;
    if (would.facts().isEmpty()) {
      said = "This house does not offer it in this binding";
    } else {
      List<String> all = Changed.said(would.before(), changed.with(e, would.facts(), viewer));
      said = all.isEmpty() ? "nothing on the sheet is another" : String.join("; ", all);
    }
    return new Other(e, name(would.before()), would.change(), said, would.shares(), would.facts());
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
   * @throws Refusal when the house of one does not offer it; then none is changed
   */
  @Transactional
  public List<Other> change(EditionEntity of, Set<Long> ids, Viewer viewer) {
    List<Other> chosen =
        others(of, viewer).stream().filter(o -> ids.contains(o.edition().getId())).toList();
    for (Other o : chosen) {
      if (o.facts().isEmpty()) {
        throw new Refusal(
            o.name()
                + " can't take it ("
                + o.change()
                + "), since its house does not offer it: take its tick away, or leave it as it is. Nothing was changed.");
      }
    }
    chosen.forEach(o -> facts.take(o.edition().getId(), o.facts()));
    history.settle(of.getId());
    return chosen;
  }

  /** Leaves other editions as they are: what was changed here is not offered to them any more. */
  @Transactional
  public void leave(EditionEntity of, Set<Long> ids) {
    siblings(of).stream()
        .map(EditionEntity::getId)
        .filter(ids::contains)
        .forEach(e -> leftApart.leave(e, of.getId()));
    history.settle(of.getId());
  }

  /**
   * Has an edition take what another changed.
   *
   * @throws Refusal when there is nothing to take any more, or its house does not offer it
   */
  @Transactional
  public void take(EditionEntity edition, Long from, Viewer viewer) {
    Apart apart =
        apart(edition, viewer).stream()
            .filter(a -> a.from().getId().equals(from))
            .findFirst()
            .orElseThrow(
                () ->
                    new Refusal(
                        "The other edition was changed since, and there is nothing to take of it any more."));
    if (apart.facts().isEmpty()) {
      throw new Refusal(
          "This house does not make it in this binding ("
              + apart.change()
              + "): leave it as it is.");
    }
    facts.take(edition.getId(), apart.facts());
    history.settle(from);
  }

  /** Keeps an edition's own count and trim, whatever the others changed up to now. */
  @Transactional
  public void keepOwn(EditionEntity edition) {
    for (EditionEntity other : siblings(edition)) {
      leftApart.leave(edition.getId(), other.getId());
      history.settle(other.getId());
    }
  }
}
