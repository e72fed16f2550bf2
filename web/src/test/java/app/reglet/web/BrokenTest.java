package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import app.reglet.web.houses.Houses;
import java.util.List;
import java.util.Map;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** One row that can't be read: it says so, has a way out, and takes nothing else with it. */
public class BrokenTest {
  private Own reglet;

  @BeforeMethod
  public void start() throws Exception {
    reglet = new Own("--reglet.demo=true");
  }

  @AfterMethod(alwaysRun = true)
  public void stop() {
    reglet.close();
  }

  @DataProvider
  public Object[][] editions() {
    return Extent.of(
        2,
        new Object[][] {
          {
            "update edition set house_version = 77 where id = 1", "version 77 of “gannet-and-gauge”"
          },
          {
            "update edition set trim = 'six by nine' where id = 1",
            "facts as kept can&#39;t be read"
          },
          {"update edition set binding = 'stitched by moonlight' where id = 1", "facts as kept"},
          {"update edition set turn = 'xyz' where id = 1", "facts as kept"},
          {
            "update revision set design = '{\"of\":\"another Reglet\"}' where edition_id = 1 and number = 2",
            "design, revision 2, can&#39;t be read"
          },
          {
            "delete from revision where edition_id = 1 and number = 2",
            "design, revision 2, is not here any more"
          },
          {
            "update revision set design = '[[[[' where edition_id = 1",
            "design, revision 2, can&#39;t be read"
          },
        });
  }

  @Test(dataProvider = "editions")
  public void aBrokenEditionIsShownAsBrokenAndCanBeMended(String damage, String sentence)
      throws Exception {
    reglet.sql(damage);
    for (int starts = 0; starts < 2; starts++) {
      Web web = reglet.web();
      Answer titles = web.get("/titles");
      assertThat(titles.status()).isEqualTo(200);
      assertThat(titles.body()).contains("The Salt Ledger", "Knots for Slow Water");
      assertThat(said(web, titles)).contains("Broken. ", sentence);
      for (String place :
          List.of(
              "docket",
              "bench",
              "dispatch",
              "what-if",
              "side-by-side",
              "templates",
              "history",
              "press-file",
              "carried",
              "changed",
              "recut",
              "part",
              "package",
              "side-by-side")) {
        Answer page = web.get("/editions/1/" + place);
        assertThat(page.status()).as(place).isEqualTo(422);
        assertThat(page.body()).as(place).contains(sentence).contains("/editions/1/repair");
      }
      assertThat(web.get("/inspect").status()).isEqualTo(200);
      assertThat(web.get("/houses").status()).isEqualTo(200);
      assertThat(web.get("/editions/2/bench").status()).isEqualTo(200);
      if (starts == 0) {
        reglet.stop();
        reglet.start(); // nor does it hinder the next start
      }
    }
    Web web = reglet.web();
    String way =
        new Answer(200, said(web, web.get("/titles")), "", 0)
            .find("action=\"/editions/1/repair\".*?name=\"way\" value=\"(\\w+)\"");
    Answer mended = web.post("/editions/1/repair", List.of(Map.entry("way", way)), false);
    assertThat(mended.status()).isEqualTo(302);
    assertThat(web.get("/editions/1/docket").status()).isEqualTo(200);
    assertThat(web.get("/editions/1/bench").status()).isEqualTo(200);
    assertThat(said(web, web.get("/titles"))).doesNotContain("Broken. ");
  }

  /** What the list says of the first edition: in itself, or in its line when it is looked at. */
  private static String said(Web web, Answer titles) throws Exception {
    return titles.body().contains("Broken. ") ? titles.body() : web.get("/editions/1/tally").body();
  }

  @Test
  public void aHouseWithoutItsVersionDoesNotStopTheStart() throws Exception {
    reglet.sql(
        "insert into house (id, shipped, changed, current, version) values ('half-there', false, now(), 1, 0)",
        "delete from house_version where house_id = 'lantern-shelf'");
    reglet.stop();
    reglet.start();
    Answer houses = reglet.web().get("/houses");
    assertThat(houses.status()).isEqualTo(200);
    assertThat(houses.body()).contains("half-there, version 1", "No version of it is here");
    // what ships is simply there again
    assertThat(reglet.bean(Houses.class).has("lantern-shelf")).isTrue();
    assertThat(reglet.web().get("/titles").status()).isEqualTo(200);
  }

  @Test
  public void aSheetThatCannotBeReadIsShownAndMendedAsANewOne() throws Exception {
    Web web = reglet.web();
    String draft =
        web.post("/houses/osier-row/copy", List.of(), false)
            .location()
            .replaceAll("^https?://[^/]+", "");
    assertThat(web.post(draft + "/publish", List.of(), false).status()).isEqualTo(302);
    reglet.sql(
        "update house_version set document = replace(document, '\"unit\"', '\"units\"') where house_id = 'osier-row-copy'");
    reglet.stop();
    reglet.start();
    web = reglet.web();
    assertThat(web.get("/houses").body())
        .contains("osier-row-copy, version 1", "can&#39;t be read any more");
    Answer mending =
        web.post("/houses/osier-row-copy/mend", List.of(Map.entry("version", "1")), false);
    assertThat(mending.status()).isEqualTo(302);
    Answer page = web.get(mending.location().replaceAll("^https?://[^/]+", ""));
    assertThat(page.status()).isEqualTo(200);
    assertThat(page.body()).contains("osier-row-copy-mended");
    reglet.sql("update house_version set document = 'no JSON' where house_id = 'osier-row-copy'");
    Answer hopeless =
        web.post("/houses/osier-row-copy/mend", List.of(Map.entry("version", "1")), false);
    assertThat(hopeless.status()).isEqualTo(400);
    assertThat(hopeless.body()).contains("/houses/osier-row-copy/document?v=1");
    assertThat(web.get("/houses/osier-row-copy/document?v=1").body()).isEqualTo("no JSON");
  }

  @Test
  public void aDraftThatNoFormCanShowIsThrownAway() throws Exception {
    Web web = reglet.web();
    String draft =
        web.post("/houses/new", List.of(), false).location().replaceAll("^https?://[^/]+", "");
    reglet.sql("update house_draft set document = '[1e999999999]'");
    Answer page = web.get(draft);
    assertThat(page.status()).isEqualTo(422);
    assertThat(page.body()).contains("can&#39;t be shown", "Throw it away", draft + "/discard");
    assertThat(web.get("/houses").body()).contains(draft + "/discard");
    assertThat(web.post(draft + "/discard", List.of(Map.entry("way", "discard")), false).status())
        .isEqualTo(302);
    assertThat(web.get(draft).status()).isEqualTo(404);
  }

  /** A carried cover is whole though its origin is not: it says so, and nothing of it is lost. */
  @Test(groups = Extent.LONG)
  public void aCoverWhoseOriginCantBeReadSaysSoAndIsWholeItself() throws Exception {
    Web web = reglet.web();
    String made =
        web.post(
                "/editions/1/carry",
                Map.of("house", "dunlin-casebinders", "binding", "dust-jacket"))
            .location()
            .replaceAll(".*(/editions/\\d+)/.*", "$1");
    reglet.sql("update revision set design = '[[[[' where edition_id = 1");
    reglet.stop();
    reglet.start(); // what was drawn before is not at hand
    web = reglet.web();
    Answer carried = web.get(made + "/carried");
    assertThat(carried.status()).isEqualTo(200);
    assertThat(carried.body())
        .contains("can’t be compared with it", "This cover itself is whole", "can’t be read");
    for (String place : List.of("bench", "docket", "dispatch", "carried/kin")) {
      assertThat(web.get(made + "/" + place).status()).as(place).isEqualTo(200);
    }
    assertThat(web.get("/editions/1/carry?house=osier-row&binding=flapped").status())
        .isEqualTo(422);
    assertThat(web.post(made + "/carried/take", Map.of("base", "1", "key", "title/all")).status())
        .isBetween(400, 422);
    // its facts can still change, and its design goes with them by itself
    String docket = made + "/docket";
    String version = web.get(docket).find("name=\"version\" value=\"([\\d.]+)\"");
    Answer saved =
        web.post(
            docket,
            Map.of(
                "version",
                version,
                "title",
                "The Salt Ledger",
                "trim",
                "5.5 x 8.5 in",
                "pages",
                "312"));
    assertThat(saved.status()).isBetween(200, 303);
    assertThat(web.get(made + "/bench").body()).contains("Undo: Carried to 5.5 × 8.5 in");
  }

  /** One edition of a title that can't be read hinders none of the others. */
  @Test
  public void editionsBesideABrokenOneAreKeptTogetherAllTheSame() throws Exception {
    Web web = reglet.web();
    String made =
        web.post(
                "/editions/1/carry",
                Map.of("house", "dunlin-casebinders", "binding", "dust-jacket"))
            .location()
            .replaceAll(".*(/editions/\\d+)/.*", "$1");
    web.post("/editions/1/what-if", Map.of("pages", "400"));
    String id = made.replaceAll("\\D", "");
    for (String damage :
        List.of("binding = 'stitched by moonlight'", "trim = 'six by nine'", "turn = 'xyz'")) {
      reglet.sql("update edition set " + damage + " where id = " + id);
      for (String page :
          List.of(
              "/editions/1/carried",
              "/editions/1/carried/kin",
              "/editions/1/docket/others",
              "/editions/1/carry?house=dunlin-casebinders&binding=dust-jacket",
              "/titles")) {
        assertThat(web.get(page).status()).as(damage + " " + page).isEqualTo(200);
      }
      assertThat(web.get("/editions/1/carried").body()).contains("can’t be read");
    }
    // a package that lacked one of them, or could not be taken in, would be no copy
    Answer refused = web.get("/editions/1/package");
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body()).contains(made + "/repair");
  }
}
