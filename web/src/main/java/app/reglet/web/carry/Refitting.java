package app.reglet.web.carry;

import app.reglet.core.Refusal;
import app.reglet.core.carry.Following;
import app.reglet.core.carry.Offer;
import app.reglet.core.design.Design;
import app.reglet.core.edit.Scaling;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.web.bench.Revisions;
import app.reglet.web.titles.BrokenCover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * A cover whose trim, binding, house or direction is changed in place is carried from the sheet
 * that somebody composed it on. While nobody changes the design, it follows every further change
 * from there, so that there and back is exactly what it was; a change of count or paper needs
 * nothing of this, since pieces hang on the lines of the sheet.
 */
@Service
public class Refitting {
  /** Steps of typing in so short a time leave no revisions of their own. */
  private static final Duration TYPED = Duration.ofSeconds(20);

  private final Covers covers;
  private final Carrying carrying;
  private final Kin kin;
  private final Revisions revisions;
  private final RefittedRows rows;
  private final Clock clock;

  Refitting(
      Covers covers,
      Carrying carrying,
      Kin kin,
      Revisions revisions,
      RefittedRows rows,
      Clock clock) {
    this.covers = covers;
    this.carrying = carrying;
    this.kin = kin;
    this.revisions = revisions;
    this.rows = rows;
    this.clock = clock;
  }

  /** The edition with the facts it has now, for {@link #follow}. */
  public EditionEntity before(EditionEntity edition) {
    return edition.as(Map.of());
  }

  private record Base(int revision, Map<String, String> facts, Optional<RefittedEntity> row) {}

  private Base base(EditionEntity edition, EditionEntity before) {
    Optional<RefittedEntity> row =
        rows.findById(edition.getId()).filter(r -> r.getRevision() == edition.getRevision());
    return row.map(r -> new Base(r.getBaseRevision(), r.baseFacts(), row))
        .orElseGet(() -> new Base(edition.getRevision(), before.columns(), row));
  }

  /** What decides that a design is carried. */
  private static boolean alike(EditionEntity a, EditionEntity b) {
    return Objects.equals(a.getHouseId(), b.getHouseId())
        && a.getBinding() == b.getBinding()
        && a.getTrim().equals(b.getTrim())
        && a.getTurn() == b.getTurn();
  }

  /**
   * Has the design follow the facts, once they are another.
   *
   * @param before what {@link #before} gave
   */
  public void follow(EditionEntity edition, EditionEntity before) {
    if (edition.getRevision() == 0 || alike(edition, before)) {
      return;
    }
    Base base = base(edition, before);
    EditionEntity from = edition.as(base.facts());
    Optional<Wrap> was = wrap(from);
    Optional<Wrap> is = wrap(edition);
    if (was.isEmpty()) {
      return; // it was never seen on a sheet: there is nothing to keep
    }
    Optional<Kin.Pending> pending = kin.pending(before);
    boolean asCarried = kin.isAsCarried(before);
    int revision = edition.getRevision();
    boolean instead = false;
    if (is.isPresent()) {
      Design design = designed(edition, base, was.get(), is.get());
      if (alike(edition, from) || design.equals(revisions.at(edition, base.revision()))) {
        if (revision != base.revision()) {
          revisions.backTo(edition, base.revision());
        }
      } else if (!design.equals(revisions.at(edition, revision))) {
        instead =
            base.row()
                .filter(r -> r.getMade().plus(TYPED).isAfter(clock.instant()))
                .filter(r -> r.getBaseRevision() != r.getRevision())
                .isPresent();
        revisions.addOn(edition, base.revision(), design, said(edition, from));
      }
    }
    if (is.isPresent() && alike(edition, from)) {
      rows.deleteById(edition.getId());
    } else {
      rows.save(
          new RefittedEntity(
              edition.getId(),
              base.revision(),
              base.facts(),
              edition.getRevision(),
              clock.instant()));
    }
    if (edition.getRevision() != revision) {
      pending.ifPresent(p -> kin.moved(edition, p));
      if (asCarried) {
        kin.refitted(edition);
      }
    }
    if (instead) { // last, when it is known what others are compared with now
      revisions.forget(edition.getId(), revision);
    }
  }

  private Optional<Wrap> wrap(EditionEntity edition) {
    try {
      return covers.wrap(edition);
    } catch (Refusal | BrokenCover e) {
      return Optional.empty();
    }
  }

  private Design designed(EditionEntity edition, Base base, Wrap was, Wrap is) {
    Design design = revisions.at(edition, base.revision());
    if (was.house().isInPixels() && is.house().isInPixels()) {
      return Scaling.of(design, was.spec().trim(), is.spec().trim());
    }
    var carry = carrying.carry(edition);
    Design own = carry.of(design, was, is);
    Optional<Kin.Origin> origin = kin.origin(edition);
    if (origin.isEmpty()) {
      return own;
    }
    // what it has as its origin has it, it has so on the new sheet too
    Design then = origin.get().on(was);
    Following now = new Following(carry.of(then, was, is), origin.get().on(is), own);
    return now.taking(
        now.offers().stream().filter(o -> !o.own()).map(Offer::key).collect(Collectors.toSet()));
  }

  private String said(EditionEntity edition, EditionEntity from) {
    boolean pixels = edition.getBinding().isInPixels();
    Unit unit = pixels ? Unit.PX : covers.sheet(edition).unit();
    String trim = edition.getTrim().print(unit);
    if (pixels && from.getBinding().isInPixels()) {
      return "Scaled to " + trim;
    }
    StringBuilder said = new StringBuilder("Carried to ");
    if (edition.getBinding() != from.getBinding()) {
      said.append(edition.getBinding().title()).append(", ");
    }
    if (!edition.getHouseId().equals(from.getHouseId())) {
      said.append(covers.sheet(edition).name()).append(", ");
    }
    if (edition.getTurn() != from.getTurn()) {
      said.append("pages ").append(edition.getTurn().title().toLowerCase(Locale.ROOT)).append(", ");
    }
    return said.append(trim).toString();
  }

  /** The design, and the facts it was made for, that an edition follows its facts from. */
  public record Kept(int baseRevision, Map<String, String> baseFacts) {}

  /** What an edition follows its facts from; empty where its design was made for them. */
  public Optional<Kept> kept(EditionEntity edition) {
    return rows.findById(edition.getId())
        .filter(r -> r.getRevision() == edition.getRevision())
        .map(r -> new Kept(r.getBaseRevision(), r.baseFacts()));
  }

  /** Has an edition that came from elsewhere follow its facts as it did there. */
  public void keep(EditionEntity edition, int baseRevision, Map<String, String> baseFacts) {
    rows.save(
        new RefittedEntity(
            edition.getId(), baseRevision, baseFacts, edition.getRevision(), clock.instant()));
  }

  /** The design that an edition's cover would have with other facts. */
  public Design designed(EditionEntity edition, EditionEntity facts) {
    if (alike(edition, facts) || edition.getRevision() == 0) {
      return revisions.current(edition);
    }
    Base base = base(edition, edition);
    EditionEntity from = edition.as(base.facts());
    Optional<Wrap> was = wrap(from);
    Optional<Wrap> is = wrap(facts);
    return alike(from, facts) || was.isEmpty() || is.isEmpty()
        ? revisions.at(edition, base.revision())
        : designed(facts, base, was.get(), is.get());
  }
}
