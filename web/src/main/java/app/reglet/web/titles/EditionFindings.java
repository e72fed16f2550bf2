package app.reglet.web.titles;

import app.reglet.core.book.Isbn;
import app.reglet.core.check.Finding;
import app.reglet.core.check.OfEdition;
import app.reglet.core.check.Remedy;
import app.reglet.web.houses.Houses;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What is found of an edition's facts, beside other editions and beside what its cover shows. */
@Component
class EditionFindings {
  private final Editions editions;
  private final Houses houses;

  EditionFindings(Editions editions, Houses houses) {
    this.editions = editions;
    this.houses = houses;
  }

  List<Finding> of(Cover cover) {
    List<Finding> found = new ArrayList<>();
    EditionEntity edition = cover.edition();
    if (edition.getSpread() > 0 && edition.getPages() != null) {
      found.add(
          new OfEdition.CountProvisional(edition.getPages(), edition.getSpread())
              .found(Finding.Severity.LOOK));
    }
    if (cover.hasBareInside()) {
      found.add(new OfEdition.InsideBare().found(Finding.Severity.LOOK, new Remedy.OutsideOnly()));
    }
    edition.getIsbn().ifPresent(isbn -> sameIsbn(edition, isbn, found));
    return found;
  }

  /** Another title's is told first: no shop takes that. */
  private void sameIsbn(EditionEntity edition, Isbn isbn, List<Finding> found) {
    List<EditionEntity> others =
        editions.withIsbn(isbn.digits()).stream()
            .filter(e -> !e.getId().equals(edition.getId()) && e.getBinding() != null)
            .toList();
    others.stream()
        .filter(e -> !e.getBook().getId().equals(edition.getBook().getId()))
        .findFirst()
        .map(e -> new OfEdition.IsbnTaken(isbn.print(), e.getBook().getTitle()))
        .ifPresent(f -> found.add(f.found(Finding.Severity.MEND)));
    others.stream()
        .filter(e -> e.getBook().getId().equals(edition.getBook().getId()))
        .filter(e -> !e.getBinding().isOneFormWith(edition.getBinding()))
        .findFirst()
        .map(
            e ->
                new OfEdition.IsbnShared(
                    isbn.print(),
                    e.getBinding(),
                    houses.has(e.getHouseId(), e.getHouseVersion())
                        ? houses.get(e.getHouseId(), e.getHouseVersion()).name()
                        : "another house"))
        .ifPresent(f -> found.add(f.found(Finding.Severity.LOOK)));
  }
}
