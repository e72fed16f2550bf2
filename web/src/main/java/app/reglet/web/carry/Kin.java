package app.reglet.web.carry;

import app.reglet.core.Refusal;
import app.reglet.core.book.PageTurn;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Following;
import app.reglet.core.carry.Offer;
import app.reglet.core.design.Design;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.web.bench.Revisions;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.BrokenCover;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Covers of one title that were carried from each other, and what they can take of each other. */
@Service
public class Kin {
  private static final int NEVER = CarriedEntity.NEVER;

  private final Covers covers;
  private final Carrying carrying;
  private final Revisions revisions;
  private final CarriedRows rows;
  private final Editions editions;

  Kin(Covers covers, Carrying carrying, Revisions revisions, CarriedRows rows, Editions editions) {
    this.covers = covers;
    this.carrying = carrying;
    this.revisions = revisions;
    this.rows = rows;
    this.editions = editions;
  }

  /** What an origin changed since, with the revision that each is compared with. */
  private record Since(Cover origin, Map<Integer, Following> by, Map<Offer, Integer> offers) {}

  private Since since(Cover cover, CarriedEntity carried, Viewer viewer) {
    return since(covers.of(carried.getOriginId(), viewer), cover, carried);
  }

  private Since since(Cover origin, Cover cover, CarriedEntity carried) {
    Carry carry = carrying.carry(origin);
    Function<Design, Design> here = d -> carry.of(d, origin.sheet(), cover.sheet());
    Design theirs = here.apply(origin.design());
    // a revision that is not kept tells nothing: then all that differs from the base is its own
    Optional<Design> made =
        Optional.of(carried.getRevision())
            .filter(n -> n >= 0 && !revisions.isGone(cover.edition(), n))
            .map(n -> revisions.at(cover.edition(), n));
    Map<String, Integer> bases = carried.bases();
    Map<Integer, Following> by = new HashMap<>();
    Set<Integer> all = bases.values().stream().filter(r -> r != NEVER).collect(Collectors.toSet());
    all.add(carried.getOriginRevision());
    for (int revision : all) {
      Design base = here.apply(revisions.at(origin.edition(), revision));
      by.put(revision, new Following(base, theirs, cover.design(), made.orElse(base)));
    }
    Map<Offer, Integer> offers = new LinkedHashMap<>();
    by.forEach(
        (revision, following) ->
            following.offers().stream()
                .filter(o -> isSeen(o, following, cover.sheet()))
                .filter(
                    o ->
                        bases.getOrDefault(o.key(), carried.getOriginRevision())
                            == revision.intValue())
                .forEach(o -> offers.put(o, revision)));
    return new Since(origin, by, offers);
  }

  /** Whether an offer is of something that the cover shows, and not of what is set aside there. */
  private static boolean isSeen(Offer offer, Following f, Wrap wrap) {
    return offer
        .piece()
        .map(
            id ->
                Stream.of(f.theirs(), f.mine())
                    .flatMap(d -> d.piece(id).stream())
                    .anyMatch(p -> Carry.isThere(p, wrap)))
        .orElse(true);
  }

  /** In what a cover has gone its own way. */
  private static List<Offer> own(Since since, Cover cover, CarriedEntity carried) {
    Following last = since.by().get(carried.getOriginRevision());
    return last.own().stream().filter(o -> isSeen(o, last, cover.sheet())).toList();
  }

  /** What a cover can take of its origin; nothing where it has none. */
  public List<Offer> offers(Cover cover, Viewer viewer) {
    try {
      return carrying
          .origin(cover.edition())
          .filter(c -> cover.wrap().isPresent())
          .map(c -> List.copyOf(since(cover, c, viewer).offers().keySet()))
          .orElseGet(List::of);
    } catch (BrokenCover | Refusal unreadable) {
      return List.of(); // its origin's own pages say why
    }
  }

  /** The cover with these taken, not yet kept. */
  public Cover taking(Cover cover, Set<String> keys, Viewer viewer) {
    Since since = since(cover, expected(cover), viewer);
    return covers.of(cover, taken(since, cover.design(), keys));
  }

  private static Design taken(Since since, Design design, Set<String> keys) {
    Design taken = design;
    for (Map.Entry<Integer, Following> e : since.by().entrySet()) {
      List<String> here =
          since.offers().entrySet().stream()
              .filter(o -> o.getValue().equals(e.getKey()) && keys.contains(o.getKey().key()))
              .map(o -> o.getKey().key())
              .toList();
      taken = new Following(e.getValue().base(), e.getValue().theirs(), taken).taking(here);
    }
    return taken;
  }

  /** What a cover was carried from. */
  CarriedEntity expected(Cover cover) {
    return carrying
        .origin(cover.edition())
        .orElseThrow(
            () ->
                new Refusal(
                    "This cover was not carried from another, or that was taken away: there is nothing to take."));
  }

  /** Takes some of what the origin changed: one undo. */
  @Transactional
  public void take(Long id, int base, Set<String> keys, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Revisions.expect(cover.edition(), base);
    CarriedEntity carried = expected(cover);
    Since since = since(cover, carried, viewer);
    boolean asCarried = own(since, cover, carried).isEmpty();
    Design taken = taken(since, cover.design(), keys);
    if (!taken.equals(cover.design())) {
      revisions.add(
          cover.edition(),
          taken,
          "Taken from "
              + since.origin().edition().getBinding().title()
              + ", "
              + since.origin().house().name());
      // what was taken is not its own; where it has things of its own, what it was is no measure
      carried.madeAnew(asCarried ? cover.edition().getRevision() : CarriedEntity.NEVER);
    }
    settle(carried, since, keys, false);
  }

  /** Has some of what the origin changed never offered again. */
  @Transactional
  public void refuse(Long id, Set<String> keys, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    CarriedEntity carried = expected(cover);
    settle(carried, since(cover, carried, viewer), keys, true);
  }

  private static Map<String, Integer> refused(CarriedEntity carried) {
    Map<String, Integer> refused = new LinkedHashMap<>(carried.bases());
    refused.values().removeIf(r -> r != NEVER);
    return refused;
  }

  /** What is not settled stays compared with what it was compared with. */
  private void settle(CarriedEntity carried, Since since, Set<String> keys, boolean never) {
    Map<String, Integer> except = refused(carried);
    since
        .offers()
        .forEach(
            (offer, revision) -> {
              if (!keys.contains(offer.key())) {
                except.put(offer.key(), revision);
              } else if (never) {
                except.put(offer.key(), NEVER);
              }
            });
    carried.follow(since.origin().edition().getRevision(), except);
    rows.save(carried);
  }

  /**
   * A cover of a title among the others.
   *
   * @param title its binding, as people call it
   * @param size its trim and direction
   * @param origin the edition it was carried from; null for none
   * @param offers what it can take of that
   * @param own in what it has gone its own way
   * @param trouble why it can't be compared; null when it can
   */
  public record Node(
      EditionEntity edition,
      String title,
      String house,
      String size,
      Long origin,
      List<Offer> offers,
      List<Offer> own,
      String trouble) {
    /** How much it can take that it has not changed itself. */
    public long offered() {
      return offers.stream().filter(o -> !o.own()).count();
    }

    /** In how much of what it is offered it has gone its own way. */
    public long kept() {
      return offers.size() - offered();
    }
  }

  private Node node(EditionEntity edition, Viewer viewer) {
    Optional<CarriedEntity> carried = carrying.origin(edition);
    Long from = carried.map(CarriedEntity::getOriginId).orElse(null);
    try {
      Cover cover = covers.of(edition, viewer);
      if (carried.isEmpty()) {
        return node(cover, null, List.of(), List.of(), null);
      }
      if (cover.wrap().isEmpty()) {
        return node(cover, from, List.of(), List.of(), "can’t be measured yet");
      }
      Since since = since(cover, carried.get(), viewer);
      return node(
          cover,
          from,
          List.copyOf(since.offers().keySet()),
          own(since, cover, carried.get()),
          null);
    } catch (BrokenCover | Refusal | Gone unreadable) {
      return new Node(
          edition,
          "An edition",
          edition.getHouseId(),
          "",
          from,
          List.of(),
          List.of(),
          "can’t be read");
    }
  }

  private static Node node(
      Cover cover, Long from, List<Offer> offers, List<Offer> own, String trouble) {
    EditionEntity e = cover.edition();
    String size =
        e.getTrim().brief(cover.unit()) + (e.getTurn() == PageTurn.RTL ? ", right to left" : "");
    return new Node(
        e, e.getBinding().title(), cover.house().name(), size, from, offers, own, trouble);
  }

  /** The covers that were carried from one, and what each can take. */
  public List<Node> followers(EditionEntity origin, Viewer viewer) {
    return rows.findAllByOriginIdOrderByEditionIdAsc(origin.getId()).stream()
        .flatMap(c -> editions.findById(c.getEditionId()).stream())
        .filter(e -> e.getTakenAway() == null)
        .map(e -> node(e, viewer))
        .toList();
  }

  /** All editions of a title. */
  public List<Node> family(EditionEntity one, Viewer viewer) {
    return editions.ofBook(one.getBook().getId()).stream().map(e -> node(e, viewer)).toList();
  }

  /**
   * Has followers take all that they have not changed themselves: one undo each.
   *
   * @param revisions of their covers as the page showed them, by edition
   */
  @Transactional
  public void spread(Long id, Map<Long, Integer> revisions, Viewer viewer) {
    for (Map.Entry<Long, Integer> e : revisions.entrySet()) {
      Cover cover = covers.of(e.getKey(), viewer);
      if (!expected(cover).getOriginId().equals(id)) {
        throw new Refusal("One of these editions was not carried from this one: reload the page.");
      }
      Set<String> keys =
          offers(cover, viewer).stream()
              .filter(o -> !o.own())
              .map(Offer::key)
              .collect(Collectors.toSet());
      take(e.getKey(), e.getValue(), keys, viewer);
    }
  }

  /**
   * What of an origin's changes its followers have not taken, before its sheet becomes another.
   *
   * @param by edition, with the revisions each thing is compared with
   */
  record Pending(Map<Long, Map<String, Integer>> by) {}

  /** What followers have not taken yet; empty where there are none. */
  Optional<Pending> pending(EditionEntity origin) {
    List<CarriedEntity> all = rows.findAllByOriginIdOrderByEditionIdAsc(origin.getId());
    Map<Long, Map<String, Integer>> by = new HashMap<>();
    for (CarriedEntity c : all) {
      by.put(c.getEditionId(), pending(origin, c));
    }
    return all.isEmpty() ? Optional.empty() : Optional.of(new Pending(by));
  }

  private Map<String, Integer> pending(EditionEntity origin, CarriedEntity carried) {
    Map<String, Integer> pending = refused(carried);
    try {
      Cover follower = covers.of(covers.edition(carried.getEditionId()), Unit.MM);
      Cover cover = covers.of(origin, Unit.MM);
      if (follower.wrap().isPresent() && cover.wrap().isPresent()) {
        since(cover, follower, carried).offers().forEach((o, r) -> pending.put(o.key(), r));
      }
    } catch (BrokenCover | Refusal | Gone unreadable) {
      // what can't be compared is compared when it can be read again
    }
    return pending;
  }

  /** Whether a cover has gone its own way in nothing. */
  boolean isAsCarried(EditionEntity edition) {
    Node node = node(edition, new Viewer(Optional.of(Unit.MM), Locale.ROOT, ""));
    return node.origin() != null && node.trouble() == null && node.own().isEmpty();
  }

  /** A cover's own sheet became another and its design with it: that is nothing of its own. */
  void refitted(EditionEntity edition) {
    rows.findById(edition.getId())
        .ifPresent(
            c -> {
              c.madeAnew(edition.getRevision());
              rows.save(c);
            });
  }

  /** An origin's sheet became another and its design with it: that alone is nothing to take. */
  void moved(EditionEntity origin, Pending pending) {
    for (CarriedEntity c : rows.findAllByOriginIdOrderByEditionIdAsc(origin.getId())) {
      c.follow(origin.getRevision(), pending.by().getOrDefault(c.getEditionId(), refused(c)));
      rows.save(c);
    }
  }

  /**
   * What a cover was carried from, as it is compared with it.
   *
   * @param design of the revision that it is compared with
   */
  record Origin(Carry carry, Design design, Wrap wrap) {
    Design on(Wrap to) {
      return carry.of(design, wrap, to);
    }
  }

  /** What an edition follows; empty where it follows nothing that can be read. */
  Optional<Origin> origin(EditionEntity edition) {
    try {
      return carrying
          .origin(edition)
          .flatMap(
              c -> {
                EditionEntity from = covers.edition(c.getOriginId());
                return covers
                    .wrap(from)
                    .map(
                        w ->
                            new Origin(
                                carrying.carry(from),
                                revisions.at(from, c.getOriginRevision()),
                                w));
              });
    } catch (RuntimeException unreadable) {
      return Optional.empty(); // then it follows its own sheet alone
    }
  }

  /** Whether a cover was carried from another, or another from it. */
  public boolean isKin(EditionEntity edition) {
    return rows.existsById(edition.getId())
        || !rows.findAllByOriginIdOrderByEditionIdAsc(edition.getId()).isEmpty();
  }
}
