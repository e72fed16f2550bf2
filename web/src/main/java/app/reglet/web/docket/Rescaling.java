package app.reglet.web.docket;

import app.reglet.core.design.Design;
import app.reglet.core.edit.Scaling;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import app.reglet.web.bench.Revisions;
import app.reglet.web.titles.EditionEntity;
import org.springframework.stereotype.Component;

/** On a cover that is measured in pixels, what is on it goes with its size. */
@Component
class Rescaling {
  private final Revisions revisions;

  Rescaling(Revisions revisions) {
    this.revisions = revisions;
  }

  void of(EditionEntity edition, Size before, Size now) {
    if (!edition.getBinding().isInPixels() || now.equals(before) || edition.getRevision() == 0) {
      return;
    }
    Design design = revisions.current(edition);
    Design scaled = Scaling.of(design, before, now);
    if (!scaled.equals(design)) {
      revisions.add(edition, scaled, "Scaled to " + now.print(Unit.PX));
    }
  }
}
