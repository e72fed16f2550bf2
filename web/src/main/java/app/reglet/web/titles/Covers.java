package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Specification;
import app.reglet.core.design.Design;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.art.Artwork;
import app.reglet.press.type.SpineType;
import app.reglet.web.bench.Revisions;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Gone;
import app.reglet.web.shell.Viewer;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Works editions through, from their facts to what the checks say. */
@Service
public class Covers {
  /** What was drawn last: an edition is asked for again and again while it is worked on. */
  private static final int MOST_KEPT = 16;

  /** A design and what it looks like on its wrap. */
  private record Drawn(Design design, Artwork art) {}

  private final Latest<Drawn> latest = new Latest<>(MOST_KEPT);
  private final Editions editions;
  private final Houses houses;
  private final Revisions revisions;
  private final Laying laying;

  public Covers(Editions editions, Houses houses, Revisions revisions, Laying laying) {
    this.editions = editions;
    this.houses = houses;
    this.revisions = revisions;
    this.laying = laying;
  }

  /**
   * An edition's record.
   *
   * @throws Gone when there is none
   */
  public EditionEntity edition(Long id) {
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    if (edition.getTakenAway() != null) {
      throw new Gone(
          "This edition of “"
              + edition.getBook().getTitle()
              + "” was taken away. It can be put back at the foot of Titles.");
    }
    return edition;
  }

  /**
   * The version of the rule sheet that an edition is measured by.
   *
   * @throws BrokenCover when it isn't here
   */
  public RuleSheet sheet(EditionEntity edition) {
    if (!houses.has(edition.getHouseId(), edition.getHouseVersion())) {
      throw new BrokenCover(
          edition,
          BrokenCover.Way.SHEET,
          "The sheet it was measured by, version "
              + edition.getHouseVersion()
              + " of “"
              + edition.getHouseId()
              + "”, is not here or can't be read any more.");
    }
    return houses.get(edition.getHouseId(), edition.getHouseVersion());
  }

  /** The room for words across the spine of a wrap, in the face that a design uses there. */
  public SpineType spineType(Design design, Wrap wrap) {
    return laying.spineType(design, wrap);
  }

  /** The version of its sheet that came after the one a cover is measured by, if one did. */
  public Optional<NewerRuleSheet> newerSheet(Cover cover) {
    EditionEntity e = cover.edition();
    int current = houses.version(e.getHouseId());
    if (current <= e.getHouseVersion()) {
      return Optional.empty();
    }
    return Optional.of(NewerRuleSheet.of(cover, current, houses.get(e.getHouseId(), current)));
  }

  /**
   * An edition worked through, as somebody reads it.
   *
   * @throws BrokenCover when something of it can't be read
   */
  public Cover of(Long id, Viewer viewer) {
    return of(edition(id), viewer);
  }

  /** An edition worked through, as somebody reads it. */
  public Cover of(EditionEntity edition, Viewer viewer) {
    return of(edition, viewer.unitFor(sheet(edition)));
  }

  /** An edition worked through. */
  public Cover of(EditionEntity edition, Unit unit) {
    return of(measured(edition, unit));
  }

  /**
   * An edition measured, and no more: its design is not read.
   *
   * @throws BrokenCover when something of its facts can't be read
   */
  public Measured measured(EditionEntity edition, Viewer viewer) {
    return measured(edition, viewer.unitFor(sheet(edition)));
  }

  private Measured measured(EditionEntity edition, Unit unit) {
    return Measured.of(edition, edition.printed(), sheet(edition), facts(edition), unit);
  }

  /** Whether an edition's facts and its rule sheet can be read, whatever is on its cover. */
  public boolean hasReadableFacts(EditionEntity edition) {
    try {
      measured(edition, Unit.MM);
      return true;
    } catch (BrokenCover e) {
      return false;
    }
  }

  /** The sheet of an edition alone, empty when it can't be measured. */
  public Optional<Wrap> wrap(EditionEntity edition) {
    return measured(edition, Unit.MM).wrap();
  }

  /**
   * A measured edition with its design laid on the wrap and checked.
   *
   * @throws BrokenCover when its design can't be read or drawn
   */
  public Cover of(Measured m) {
    String key = Fronts.key(m.edition());
    Drawn drawn = latest.get(key);
    if (drawn != null && m.wrap().isPresent()) {
      return laying.cover(m, drawn.design(), drawn.art());
    }
    Cover cover = of(m, design(m.edition()), Optional.empty());
    keep(cover);
    return cover;
  }

  /** A measured edition with a design that is not in force, laid on the wrap and checked. */
  public Cover proposed(Measured m, Design design) {
    return of(m, design, Optional.empty());
  }

  /** Keeps what was drawn of the design that is in force now. */
  public void keep(Cover drawn) {
    Cover cover = drawn.outer().orElse(drawn);
    cover
        .art()
        .ifPresent(art -> latest.put(Fronts.key(cover.edition()), new Drawn(cover.design(), art)));
  }

  /** A cover with a design that is not in force yet, laid on the wrap and checked. */
  public Cover of(Cover before, Design design) {
    if (before.outer().isPresent()) {
      return laying.turned(of(before.outer().get(), design), before.art());
    }
    return of(before.measured(), design, before.art());
  }

  /**
   * The inside of a cover, laid on its page and checked.
   *
   * @throws Refusal when it isn't printed
   */
  public Cover turned(Cover outside) {
    return laying.turned(outside, Optional.empty());
  }

  /** A measured edition with a design, the art of a similar one used where it is the same. */
  private Cover of(Measured m, Design design, Optional<Artwork> near) {
    if (m.wrap().isEmpty()) {
      return laying.unmeasured(
          new Cover(
              m,
              design,
              Optional.empty(),
              m.spec().map(s -> Laying.offers(s, m.house())).orElseGet(List::of),
              List.of(),
              Optional.empty(),
              Optional.empty()));
    }
    Wrap wrap = m.wrap().get();
    try {
      return laying.cover(m, design, laying.composed(m.edition(), design, wrap, m.book(), near));
    } catch (Refusal r) {
      // a face of it is gone: measured, but not drawn
      Measured undrawn =
          new Measured(
              m.edition(),
              m.book(),
              m.house(),
              m.spec(),
              Optional.empty(),
              Optional.of(r),
              m.unit());
      return of(undrawn, design, near);
    }
  }

  private static Optional<Specification> facts(EditionEntity edition) {
    try {
      if (edition.getBinding() == null || edition.getTurn() == null) {
        throw new Refusal("binding or direction is none that is known");
      }
      edition.getTrim();
      return edition.specification();
    } catch (RuntimeException e) {
      throw new BrokenCover(
          edition,
          BrokenCover.Way.FACTS,
          "Its facts as kept can't be read: " + e.getMessage().replaceAll("\\.$", "") + ".");
    }
  }

  /** The cover as it is after its edition was moved to another of its designs. */
  public Cover moved(Cover before) {
    return of(before, design(before.edition()));
  }

  private Design design(EditionEntity edition) {
    try {
      return revisions.current(edition);
    } catch (Refusal r) {
      throw new BrokenCover(edition, BrokenCover.Way.DESIGN, r.getMessage());
    }
  }
}
