package app.reglet.web.titles;

import app.reglet.core.check.Finding;
import app.reglet.core.check.OfEdition;
import app.reglet.core.check.Remedy;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** What is found of an edition's facts, beside other titles and beside what its cover shows. */
@Component
class EditionFindings {
  private final Books books;

  EditionFindings(Books books) {
    this.books = books;
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
    cover
        .book()
        .isbn()
        .flatMap(
            isbn ->
                books.withIsbn(isbn.digits(), edition.getBook().getId()).stream()
                    .findFirst()
                    .map(other -> new OfEdition.IsbnTaken(isbn.print(), other.getTitle())))
        .ifPresent(f -> found.add(f.found(Finding.Severity.MEND)));
    return found;
  }
}
