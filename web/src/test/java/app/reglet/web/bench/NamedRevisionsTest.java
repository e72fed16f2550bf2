package app.reglet.web.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.web.Own;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.time.Instant;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.Test;

/** What somebody gave a name is never one of the steps of typing that are forgotten. */
public class NamedRevisionsTest {
  @Test
  public void aNamedRevisionStaysAndOneWithoutANameGoes() throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      Revisions revisions = reglet.bean(Revisions.class);
      NamedVersionRows names = reglet.bean(NamedVersionRows.class);
      TransactionTemplate transaction =
          new TransactionTemplate(reglet.bean(PlatformTransactionManager.class));
      EditionEntity edition = reglet.bean(Editions.class).findById(1L).orElseThrow();
      NamedVersionEntity name =
          names.saveAndFlush(new NamedVersionEntity(1L, 1, "First proof", "", Instant.EPOCH, ""));
      transaction.executeWithoutResult(s -> revisions.forget(1L, 1));
      assertThat(revisions.isGone(edition, 1)).isFalse();
      names.delete(name);
      transaction.executeWithoutResult(s -> revisions.forget(1L, 1));
      assertThat(revisions.isGone(edition, 1)).isTrue();
    }
  }
}
