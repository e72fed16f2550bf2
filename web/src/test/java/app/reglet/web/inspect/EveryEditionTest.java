package app.reglet.web.inspect;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.web.Own;
import app.reglet.web.harness.Web;
import app.reglet.web.titles.Editions;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

public class EveryEditionTest {
  /** Each look at an edition costs, and a shelf has hundreds of them. */
  @Test
  public void aFileIsHeldAgainstADozenEditionsInARequestAndThePageAsksForTheRest()
      throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      Web web = reglet.web();
      while (reglet.bean(Editions.class).count() < 14) {
        web.post(
            "/titles",
            List.of(Map.entry("title", "One of many"), Map.entry("author", "Maren Aldous")),
            false);
      }
      long all = reglet.bean(Editions.class).findAllByOrderByIdAsc().size();
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(new BufferedImage(60, 90, BufferedImage.TYPE_INT_RGB), "png", png);
      String first =
          web.upload("/inspect", Map.of(), "file", "front.png", png.toByteArray()).body();
      assertThat(first).contains("12 of " + all + " editions looked at");
      String sha = first.replaceAll("(?s).*hx-get=\"/inspect/([0-9a-f]{64})/told.*", "$1");
      String rest = web.get("/inspect/" + sha + "/told?house=").body();
      if (all <= 24) {
        assertThat(rest).doesNotContain("editions looked at").doesNotContain("hx-get");
      } else {
        assertThat(rest).contains("24 of " + all + " editions looked at");
      }
    }
  }
}
