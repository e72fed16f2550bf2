package app.reglet.web.carry;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.web.Own;
import app.reglet.web.bench.Revisions;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.Map;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What a carried cover is compared with is never one of the steps that are forgotten. */
public class ComparedRevisionsTest {
  @DataProvider
  Object[][] ties() {
    return new Object[][] {
      {"the whole cover", 1, Map.of(), false},
      {"one piece of it", 2, Map.of("title", 1), false},
      {"nothing", 2, Map.of("title", 2), true}
    };
  }

  @Test(dataProvider = "ties")
  public void aRevisionStaysWhileACoverOrAPieceOfOneIsComparedWithIt(
      String what, int revision, Map<String, Integer> bases, boolean gone) throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      Editions editions = reglet.bean(Editions.class);
      EditionEntity origin = editions.findById(1L).orElseThrow();
      Revisions revisions = reglet.bean(Revisions.class);
      TransactionTemplate transaction =
          new TransactionTemplate(reglet.bean(PlatformTransactionManager.class));
      transaction.executeWithoutResult(
          s ->
              reglet
                  .bean(Carrying.class)
                  .tie(editions.findById(2L).orElseThrow(), origin, revision, 1, bases));
      transaction.executeWithoutResult(s -> revisions.forget(1L, 1));
      assertThat(revisions.isGone(origin, 1)).as(what).isEqualTo(gone);
    }
  }
}
