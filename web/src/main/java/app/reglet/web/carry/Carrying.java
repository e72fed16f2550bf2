package app.reglet.web.carry;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.carry.Carry;
import app.reglet.core.carry.Report;
import app.reglet.core.carry.Seen;
import app.reglet.core.compare.SideBySide;
import app.reglet.core.design.Colour;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.Measured;
import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Carries covers to other editions of their titles. */
@Service
public class Carrying {
  private final Covers covers;
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final PictureStore pictures;
  private final CarriedRows rows;
  private final Clock clock;

  Carrying(
      Covers covers,
      Editions editions,
      Houses houses,
      Revisions revisions,
      PictureStore pictures,
      CarriedRows rows,
      Clock clock) {
    this.covers = covers;
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.pictures = pictures;
    this.rows = rows;
    this.clock = clock;
  }

  /**
   * A cover carried, and not yet kept.
   *
   * @param origin the cover it comes from
   * @param row the house and the binding, and what of the facts they do not take
   * @param cover what it comes to
   * @param told whether the spine is told where the house states it on the order
   */
  public record Proposal(Cover origin, SideBySide.Row row, Cover cover, boolean told) {
    /** What of the facts had to be settled for it, in sentences. */
    public List<String> settled(Unit unit) {
      List<String> said = new ArrayList<>();
      row.unmet().forEach(f -> said.add(f.sentence(unit)));
      if (!told) {
        said.add(
            row.house().name()
                + " states the spine width on the order. Until it is told it is taken as "
                + cover.sheet().spine().stated().print(unit)
                + ", as at "
                + origin.house().name()
                + ": type it on the new edition’s docket when it is.");
      }
      return said;
    }
  }

  /** What became of the outside, and of the inside where both have one that somebody composed. */
  static List<Report> reports(Cover before, Cover after, Covers covers) {
    List<Report> all = new ArrayList<>();
    all.add(Report.of(drawn(before), drawn(after)));
    boolean inside =
        before.isTwoSided()
            && after.isTwoSided()
            && !(before.hasBareInside() && after.hasBareInside());
    if (inside) {
      all.add(Report.of(drawn(covers.turned(before)), drawn(covers.turned(after))));
    }
    return all;
  }

  private static Seen drawn(Cover cover) {
    return new Seen(
        cover.sheet(),
        cover.composition(),
        cover.art().map(a -> a.laid()).orElseGet(List::of),
        cover.findings());
  }

  /** A cover as it came out, where it was drawn and something is on it. */
  public static Optional<Seen> seen(Cover cover) {
    return cover.art().isPresent() && !cover.composition().pieces().isEmpty()
        ? Optional.of(drawn(cover))
        : Optional.empty();
  }

  /** Every house and binding that a cover could be carried to. */
  public List<SideBySide.Row> rows(Cover cover) {
    EditionEntity e = cover.edition();
    if (e.getPages() == null) {
      throw new Refusal("Give a page count on the docket first; then a cover can be carried.");
    }
    return SideBySide.of(
        e.specification(e.getPages()),
        cover.house().stocks().stream().filter(s -> s.id().equals(e.getStock())).findFirst(),
        houses.all(),
        cover.unit());
  }

  /**
   * A cover carried as somebody asks for it.
   *
   * @throws Refusal when it can't be measured there, or its origin can't
   */
  public Proposal proposed(Cover origin, Target target, Viewer viewer) {
    SideBySide.Row row =
        rows(origin).stream()
            .filter(target::isOf)
            .findFirst()
            .orElseThrow(
                () ->
                    new Refusal(
                        "This house does not offer that binding any more: choose another side by side."));
    Specification spec = target.spec(row);
    boolean told = !row.waitsForSpine(spec) || !origin.sheet().spine().stated().isPositive();
    if (!told) {
      // the house states it on the order: until then it is as wide as the origin's
      spec =
          spec.withToldSpine(
              Optional.of(
                  new ToldSpine(
                      origin.sheet().spine().stated(),
                      "not told yet; as wide as at " + origin.house().name())));
    }
    EditionEntity e = edition(origin, target, spec);
    return new Proposal(origin, row, on(origin, e, viewer), told);
  }

  private EditionEntity edition(Cover origin, Target target, Specification spec) {
    EditionEntity e =
        new EditionEntity(
            origin.edition().getBook(),
            target.house(),
            houses.version(target.house()),
            spec,
            clock.instant());
    // until it has its own, which a finding asks for
    e.setIsbn(origin.edition().getIsbnTyped(), origin.edition().getIsbn().orElse(null));
    return e;
  }

  private Cover on(Cover origin, EditionEntity edition, Viewer viewer) {
    Wrap from = origin.sheet();
    Measured measured = covers.measured(edition, viewer);
    Wrap to =
        measured
            .wrap()
            .orElseThrow(
                () ->
                    measured
                        .why()
                        .orElseGet(() -> new Refusal("That edition can't be measured yet.")));
    return covers.proposed(measured, carried(origin, origin.design(), from, to));
  }

  private Design carried(Cover origin, Design design, Wrap from, Wrap to) {
    return carry(origin).of(design, from, to);
  }

  /** What carries a cover's designs. */
  Carry carry(Cover origin) {
    return new Carry(origin.book(), this::proportion);
  }

  /** What carries an edition's designs. */
  Carry carry(EditionEntity edition) {
    return new Carry(edition.printed(), this::proportion);
  }

  private OptionalDouble proportion(String sha) {
    return pictures
        .find(sha)
        .map(p -> OptionalDouble.of((double) p.width() / p.height()))
        .orElseGet(OptionalDouble::empty);
  }

  /**
   * Makes the edition: its facts and its design, both or neither.
   *
   * @return its id
   */
  @Transactional
  public Long make(Cover origin, Target target, Viewer viewer) {
    Proposal p = proposed(origin, target, viewer);
    EditionEntity made = editions.saveAndFlush(p.cover().edition());
    keep(origin, made, p.cover().design());
    return made.getId();
  }

  /** Carries a cover onto an edition that there is; undo on its bench takes it back. */
  @Transactional
  public void onto(Cover origin, Long id, int base, Viewer viewer) {
    EditionEntity edition = covers.edition(id);
    Revisions.expect(edition, base);
    if (!edition.getBook().getId().equals(origin.edition().getBook().getId())
        || id.equals(origin.edition().getId())) {
      throw new Refusal("A cover is carried to another edition of the same title.");
    }
    keep(origin, edition, on(origin, edition, viewer).design());
  }

  private void keep(Cover origin, EditionEntity edition, Design design) {
    EditionEntity from = origin.edition();
    String what = "Carried from " + from.getBinding().title() + ", " + origin.house().name();
    if (!design.equals(revisions.current(edition))) {
      revisions.add(edition, design, what);
    }
    rows.save(
        new CarriedEntity(
            edition.getId(),
            from.getId(),
            from.getRevision(),
            edition.getRevision(),
            clock.instant()));
  }

  /** Where an edition was carried from; empty when it was not, or that is taken away. */
  public Optional<CarriedEntity> origin(EditionEntity edition) {
    return rows.findById(edition.getId())
        .filter(
            c ->
                editions
                    .findById(c.getOriginId())
                    .filter(o -> o.getTakenAway() == null)
                    .isPresent());
  }

  /** The origin of a carried cover as it was when that was carried, on the sheet it has now. */
  public Cover asCarried(CarriedEntity carried, Viewer viewer) {
    Cover origin = covers.of(carried.getOriginId(), viewer);
    return covers.proposed(
        origin.measured(), revisions.at(origin.edition(), carried.getOriginRevision()));
  }

  /** Whether one of two editions was carried from the other, or both from one. */
  public boolean isKin(EditionEntity a, EditionEntity b) {
    Long from = rows.findById(a.getId()).map(CarriedEntity::getOriginId).orElse(a.getId());
    Long other = rows.findById(b.getId()).map(CarriedEntity::getOriginId).orElse(b.getId());
    return from.equals(other) || from.equals(b.getId()) || other.equals(a.getId());
  }

  /** Ties a cover that came from elsewhere to its origin, as it was tied there. */
  public void tie(
      EditionEntity edition,
      EditionEntity origin,
      int originRevision,
      int revision,
      Map<String, Integer> bases) {
    CarriedEntity tied =
        new CarriedEntity(
            edition.getId(), origin.getId(), originRevision, revision, clock.instant());
    tied.follow(originRevision, bases);
    rows.save(tied);
  }

  /** Lets what became of pieces stand, or not any more. */
  @Transactional
  public void accept(Long id, Map<String, String> said, boolean stands) {
    rows.findById(id)
        .ifPresent(
            c -> {
              Map<String, String> all = new LinkedHashMap<>(c.accepted());
              all.keySet().removeAll(said.keySet());
              if (stands) {
                all.putAll(said);
              }
              c.accept(all);
              rows.save(c);
            });
  }

  /**
   * Puts one piece back as its origin has it, in size and place, words and all; one that is new
   * here is taken off.
   */
  @Transactional
  public void back(Long id, int base, String piece, Viewer viewer) {
    Cover cover = covers.of(id, viewer);
    Revisions.expect(cover.edition(), base);
    CarriedEntity carried =
        origin(cover.edition())
            .orElseThrow(
                () ->
                    new Refusal(
                        "This cover was not carried from another, or that was taken away: there is nothing to go back to."));
    Cover origin = covers.of(carried.getOriginId(), viewer);
    Design then =
        carry(origin)
            .facing(
                revisions.at(origin.edition(), carried.getOriginRevision()),
                origin.sheet(),
                cover.sheet());
    Design now = cover.design();
    Piece was = then.piece(piece).orElse(null);
    Piece is = now.piece(piece).orElse(null);
    if (was == null && is == null) {
      throw new Refusal("There is no such piece on this cover or on its origin: reload the page.");
    }
    if (is != null && is.equals(was)) {
      return;
    }
    // the piece may be in colours that are not here any more
    Design coloured = now.withPalette(both(now.palette(), then.palette()));
    Design back =
        was == null
            ? now.changed(now.sideOf(piece), c -> c.without(List.of(piece)))
            : is == null
                ? coloured.changed(then.sideOf(piece), c -> c.plus(was))
                : coloured.changed(piece, p -> was);
    String name = was == null ? is.name() : was.name();
    revisions.add(
        cover.edition(), back, was == null ? name + " taken off" : name + " as at its origin");
  }

  /** What both name, the first's where they differ. */
  private static Map<String, Colour.Solid> both(
      Map<String, Colour.Solid> first, Map<String, Colour.Solid> second) {
    Map<String, Colour.Solid> all = new LinkedHashMap<>(second);
    all.putAll(first);
    return all;
  }
}
