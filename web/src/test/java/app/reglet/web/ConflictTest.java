package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import app.reglet.web.houses.HouseVersion;
import app.reglet.web.houses.HouseVersions;
import app.reglet.web.houses.Houses;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Two at once: one is taken, the other is told so in a sentence, and nothing is half there. */
public class ConflictTest {
  private Own reglet;

  @BeforeClass
  public void start() throws Exception {
    reglet = new Own("--reglet.demo=true");
  }

  @AfterClass(alwaysRun = true)
  public void stop() {
    reglet.close();
  }

  private static String base(Web web, String edition) throws Exception {
    return web.get("/editions/" + edition + "/bench")
        .find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
  }

  private static void oneTakenTheOthersTold(List<Answer> answers, int taken) {
    assertThat(answers).filteredOn(a -> a.status() == taken).hasSize(1);
    assertThat(answers)
        .filteredOn(a -> a.status() != taken)
        .allSatisfy(
            a -> {
              assertThat(a.status()).isIn(409, 404);
              assertThat(a.body())
                  .containsAnyOf("Nothing was overwritten", "published or thrown away");
            });
  }

  @Test
  public void savesOnOneRevisionAtOnce() throws Exception {
    for (int round = 0; round < Extent.rounds(2, 6); round++) {
      String base = base(reglet.web(), "1");
      int[] n = {round * 100};
      oneTakenTheOthersTold(
          Own.atOnce(
              8,
              () -> {
                int mine;
                synchronized (n) {
                  mine = n[0]++;
                }
                return reglet
                    .web()
                    .post(
                        "/editions/1/bench/edits",
                        Map.of(
                            "edit",
                            "place",
                            "piece",
                            "title",
                            "base",
                            base,
                            "from",
                            "sheet",
                            "left",
                            10 + mine / 10.0 + " mm",
                            "top",
                            "30 mm",
                            "width",
                            "80 mm",
                            "height",
                            "30 mm"));
              }),
          200);
      assertThat(base(reglet.web(), "1")).isEqualTo(String.valueOf(Integer.parseInt(base) + 1));
    }
  }

  @Test
  public void undosOfOneRevisionAtOnceGoBackOneStep() throws Exception {
    Web web = reglet.web();
    for (int round = 0; round < Extent.rounds(2, 6); round++) {
      for (String layout : List.of("tidemark", "ledger")) {
        web.post(
            "/editions/5/bench/edits",
            Map.of("edit", "layout", "base", base(web, "5"), "layout", layout));
      }
      String base = base(web, "5");
      oneTakenTheOthersTold(
          Own.atOnce(8, () -> reglet.web().post("/editions/5/bench/undo", Map.of("base", base))),
          200);
    }
  }

  @Test(groups = Extent.LONG)
  public void onePictureSentSeveralTimesAtOnce() throws Exception {
    BufferedImage image = new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB);
    for (int round = 0; round < Extent.rounds(2, 4); round++) {
      image.setRGB(3, 3, 1000 + round);
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(image, "png", png);
      String base = base(reglet.web(), "2");
      oneTakenTheOthersTold(
          Own.atOnce(
              6,
              () ->
                  reglet
                      .web()
                      .upload(
                          "/editions/2/bench/picture",
                          Map.of("base", base),
                          "picture",
                          "sea.png",
                          png.toByteArray())),
          200);
    }
    // and on several covers at once every one of them is taken
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    image.setRGB(3, 3, 77);
    ImageIO.write(image, "png", png);
    int[] edition = {0};
    List<Answer> all =
        Own.atOnce(
            5,
            () -> {
              String mine;
              synchronized (edition) {
                mine = String.valueOf(++edition[0]);
              }
              Web web = reglet.web();
              return web.upload(
                  "/editions/" + mine + "/bench/picture",
                  Map.of("base", base(web, mine)),
                  "picture",
                  "sea.png",
                  png.toByteArray());
            });
    assertThat(all).allSatisfy(a -> assertThat(a.status()).as(a.body()).isEqualTo(200));
  }

  @Test
  public void aDocketOpenInOneWindowIsNotOutOfDateByWorkOnItsCoverInAnother() throws Exception {
    Web web = reglet.web();
    String version = web.get("/editions/4/docket").find("name=\"version\" value=\"([\\d.]+)\"");
    Answer cover =
        web.post(
            "/editions/4/bench/edits",
            Map.of("edit", "layout", "base", base(web, "4"), "layout", "tidemark"));
    assertThat(cover.status()).as(cover.body()).isEqualTo(200);
    Answer docket =
        web.post("/editions/4/docket", Map.of("version", version, "author", "Wenna Carlyon"));
    assertThat(docket.status()).as(docket.body()).isEqualTo(200);
    assertThat(base(web, "4")).isEqualTo(cover.find("id=\"base\" name=\"base\" value=\"(\\d+)\""));
  }

  @Test
  public void docketsSavedAtOnce() throws Exception {
    Web web = reglet.web();
    String version = web.get("/editions/3/docket").find("name=\"version\" value=\"([\\d.]+)\"");
    int[] n = {0};
    oneTakenTheOthersTold(
        Own.atOnce(
            8,
            () -> {
              int mine;
              synchronized (n) {
                mine = n[0]++;
              }
              return reglet
                  .web()
                  .post(
                      "/editions/3/docket",
                      Map.of("version", version, "title", "Eleven Tides " + mine, "pages", "32"));
            }),
        200);
  }

  @Test
  public void aSheetPublishedThreeTimesAtOnceIsThereOnceAndAfterAStart() throws Exception {
    Web web = reglet.web();
    for (int round = 0; round < 3; round++) {
      String draft =
          web.post("/houses/osier-row/copy", List.of(), false)
              .location()
              .replaceAll("^https?://[^/]+", "");
      List<Answer> answers =
          Own.atOnce(3, () -> reglet.web().post(draft + "/publish", List.of(), false));
      assertThat(answers).filteredOn(a -> a.status() == 302).hasSize(1);
      assertThat(answers)
          .filteredOn(a -> a.status() != 302)
          .allSatisfy(a -> assertThat(a.status()).as(a.body()).isIn(400, 404, 409));
      inMemoryAndOnTheDiskAreTheSame();
    }
    // the next version of one that is there
    String id = "osier-row-copy";
    for (int round = 0; round < 3; round++) {
      String draft =
          web.post("/houses/" + id + "/edit", List.of(), false)
              .location()
              .replaceAll("^https?://[^/]+", "");
      List<Answer> answers =
          Own.atOnce(3, () -> reglet.web().post(draft + "/publish", List.of(), false));
      assertThat(answers).filteredOn(a -> a.status() == 302).hasSize(1);
      inMemoryAndOnTheDiskAreTheSame();
    }
    List<Integer> before = reglet.bean(Houses.class).numbers(id);
    assertThat(before).containsExactly(1, 2, 3, 4);
    reglet.stop();
    reglet.start();
    assertThat(reglet.bean(Houses.class).numbers(id)).isEqualTo(before);
    assertThat(reglet.web().get("/titles").status()).isEqualTo(200);
  }

  private void inMemoryAndOnTheDiskAreTheSame() {
    Houses houses = reglet.bean(Houses.class);
    List<String> onDisk =
        reglet.bean(HouseVersions.class).findAll().stream()
            .map(HouseVersion::getKey)
            .map(k -> k.houseId() + " " + k.number())
            .sorted()
            .toList();
    List<String> inMemory =
        houses.all().stream()
            .flatMap(h -> houses.numbers(h.id()).stream().map(n -> h.id() + " " + n))
            .sorted()
            .toList();
    assertThat(inMemory).isEqualTo(onDisk);
  }
}
