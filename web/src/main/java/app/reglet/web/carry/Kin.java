package app.reglet.web.carry;

import app.reglet.core.Refusal;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Following;
import app.reglet.core.carry.Offer;
import app.reglet.core.design.Design;
import app.reglet.core.wrap.Wrap;
import app.reglet.web.bench.Revisions;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.BrokenCover;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
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
    Cover origin = covers.of(carried.getOriginId(), viewer);
    Carry carry = carrying.carry(origin);
    Function<Design, Design> here = d -> carry.of(d, origin.sheet(), cover.sheet());
    Design theirs = here.apply(origin.design());
    Map<String, Integer> bases = carried.bases();
    Map<Integer, Following> by = new HashMap<>();
    Set<Integer> all = bases.values().stream().filter(r -> r != NEVER).collect(Collectors.toSet());
    all.add(carried.getOriginRevision());
    for (int revision : all) {
      by.put(
          revision,
          new Following(
              here.apply(revisions.at(origin.edition(), revision)), theirs, cover.design()));
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

  /** What a cover can take of its origin; nothing where it has none. */
  public List<Offer> offers(Cover cover, Viewer viewer) {
    return carrying
        .origin(cover.edition())
        .filter(c -> cover.wrap().isPresent())
        .map(c -> List.copyOf(since(cover, c, viewer).offers().keySet()))
        .orElseGet(List::of);
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

  private CarriedEntity expected(Cover cover) {
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
    Design taken = taken(since, cover.design(), keys);
    if (!taken.equals(cover.design())) {
      revisions.add(
          cover.edition(),
          taken,
          "Taken from "
              + since.origin().edition().getBinding().title()
              + ", "
              + since.origin().house().name());
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

  /** What is not settled stays compared with what it was compared with. */
  private void settle(CarriedEntity carried, Since since, Set<String> keys, boolean never) {
    Map<String, Integer> except = new LinkedHashMap<>();
    carried
        .bases()
        .forEach(
            (k, r) -> {
              if (r == NEVER) {
                except.put(k, NEVER);
              }
            });
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
   * A cover that was carried from another.
   *
   * @param offered how much it can take
   * @param own in how much of that it has gone its own way
   */
  public record Follower(EditionEntity edition, String house, long offered, long own) {}

  /** The covers that were carried from one, and what each can take. */
  public List<Follower> followers(Cover origin, Viewer viewer) {
    List<Follower> all = new ArrayList<>();
    for (CarriedEntity c : rows.findAllByOriginIdOrderByEditionIdAsc(origin.edition().getId())) {
      Optional<EditionEntity> e =
          editions.findById(c.getEditionId()).filter(x -> x.getTakenAway() == null);
      if (e.isEmpty()) {
        continue;
      }
      try {
        Cover cover = covers.of(e.get(), viewer);
        List<Offer> offers =
            cover.wrap().isPresent()
                ? List.copyOf(since(cover, c, viewer).offers().keySet())
                : List.of();
        all.add(
            new Follower(
                e.get(),
                cover.house().name(),
                offers.stream().filter(o -> !o.own()).count(),
                offers.stream().filter(Offer::own).count()));
      } catch (BrokenCover | Refusal unreadable) {
        all.add(new Follower(e.get(), e.get().getHouseId(), 0, 0));
      }
    }
    return all;
  }

  /** Whether a cover was carried from another, or another from it. */
  public boolean isKin(EditionEntity edition) {
    return rows.existsById(edition.getId())
        || !rows.findAllByOriginIdOrderByEditionIdAsc(edition.getId()).isEmpty();
  }
}
