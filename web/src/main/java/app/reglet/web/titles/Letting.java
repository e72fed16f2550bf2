package app.reglet.web.titles;

import app.reglet.core.check.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Sets apart what of a cover's findings is let be. */
@Component
class Letting {
  private final LetBeRows rows;

  Letting(LetBeRows rows) {
    this.rows = rows;
  }

  /** The cover with the findings that are left, and those that are let be. */
  Cover of(Cover cover) {
    if (cover.found() == 0) {
      return cover;
    }
    List<LetBeEntity> all = rows.findByEditionIdOrderById(cover.edition().getId());
    if (all.isEmpty()) {
      return cover;
    }
    List<LetBe> letBe = new ArrayList<>(cover.letBe());
    List<Finding> left = left(cover.findings(), all, letBe);
    return cover.with(left, left(cover.beyond(), all, letBe), letBe);
  }

  private static List<Finding> left(
      List<Finding> findings, List<LetBeEntity> all, List<LetBe> letBe) {
    List<Finding> left = new ArrayList<>();
    for (Finding f : findings) {
      Optional<LetBeEntity> own = all.stream().filter(e -> e.isOf(f)).findFirst();
      own.ifPresentOrElse(
          e -> letBe.add(new LetBe(e.getId(), f, e.getReason(), e.getPerson())), () -> left.add(f));
    }
    return left;
  }
}
