package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Titles taken out as packages and in again, and packages that are none. */
public class PackageTest {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private static Map<String, byte[]> parts(byte[] zip) throws IOException {
    Map<String, byte[]> parts = new LinkedHashMap<>();
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        parts.put(e.getName(), in.readAllBytes());
      }
    }
    return parts;
  }

  private static byte[] zip(Map<String, byte[]> parts) throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (Map.Entry<String, byte[]> e : parts.entrySet()) {
        zip.putNextEntry(new ZipEntry(e.getKey()));
        zip.write(e.getValue());
        zip.closeEntry();
      }
    }
    return out.toByteArray();
  }

  private static byte[] download(Web reglet, int edition) throws IOException {
    Path file = Scratch.file("title", ".zip");
    try (var in =
        java.net
            .URI
            .create(reglet.address() + "/editions/" + edition + "/package")
            .toURL()
            .openStream()) {
      Files.copy(in, file, java.nio.file.StandardCopyOption.REPLACE_EXISTING);
      return Files.readAllBytes(file);
    } finally {
      Files.delete(file);
    }
  }

  private static String picture(Own reglet, String edition) throws IOException {
    try (var in =
        java.net
            .URI
            .create(reglet.web().address() + "/editions/" + edition + "/sheet")
            .toURL()
            .openStream()) {
      return Arrays.hashCode(in.readAllBytes()) + "";
    }
  }

  /** Every title of the demo goes out, in elsewhere, and shows the same sheet there. */
  @Test
  public void everyTitleOfTheDemoComesInElsewhereAsItWentOut() throws IOException {
    try (Own here = new Own("--reglet.demo=true");
        Own there = new Own()) {
      for (int edition : Extent.of(2, List.of(1, 2, 3, 4, 5, 6, 7, 8, 9))) {
        byte[] zip = download(here.web(), edition);
        assertThat(download(here.web(), edition)).as("the same bytes twice").isEqualTo(zip);
        var taken = there.web().upload("/titles/package", Map.of(), "file", "title.zip", zip);
        assertThat(taken.status()).as(taken.body()).isBetween(200, 303);
        String made = taken.location().replaceAll(".*/editions/(\\d+)/.*", "$1");
        assertThat(picture(there, made))
            .as("edition " + edition)
            .isEqualTo(picture(here, "" + edition));
        byte[] again = download(there.web(), Integer.parseInt(made));
        assertThat(parts(again).keySet()).isEqualTo(parts(zip).keySet());
        JsonNode slip = JSON.readTree(parts(zip).get("package.json"));
        assertThat(JSON.readTree(parts(again).get("package.json")).get("book"))
            .isEqualTo(slip.get("book"));
      }
    }
  }

  /** Packages said the ISBN with the title before editions had their own. */
  @Test(groups = Extent.LONG)
  public void anIsbnGoesOutWithItsEditionAndComesInFromAnOlderPackageToo() throws IOException {
    try (Own here = new Own("--reglet.demo=true");
        Own there = new Own()) {
      Map<String, byte[]> parts = parts(download(here.web(), 1));
      byte[] slip = parts.get("package.json");
      String typed = "\"isbn_typed\" : \"978-1-4028-9462-6\"";
      String edition = new String(slip, StandardCharsets.UTF_8);
      assertThat(edition).contains(typed);
      byte[] older =
          edition
              .replaceAll("\\s*\"isbn\" : \"9781402894626\",", "")
              .replaceAll("\\s*" + java.util.regex.Pattern.quote(typed) + ",", "")
              .replace("\"isbn\" : \"\"", "\"isbn\" : \"978-1-4028-9462-6\"")
              .getBytes(StandardCharsets.UTF_8);
      assertThat(new String(older, StandardCharsets.UTF_8)).doesNotContain("isbn_typed");
      for (byte[] one : List.of(slip, older)) {
        parts.put("package.json", one);
        var taken =
            there.web().upload("/titles/package", Map.of(), "file", "title.zip", zip(parts));
        assertThat(taken.status()).as(taken.body()).isBetween(200, 303);
        String docket = taken.location().replaceAll("^https?://[^/]+", "");
        assertThat(there.web().get(docket).body())
            .containsPattern("id=\"isbn\"[^>]*value=\"978-1-4028-9462-6\"");
      }
    }
  }

  @Test(groups = Extent.LONG)
  public void aCarriedCoverGoesOnFollowingItsOriginWhereItComesIn() {
    Desk desk = Desk.atBench("Out and in", "A blurb.").layout("Ledger");
    desk.page.navigate("/editions/" + desk.id() + "/side-by-side");
    desk.page
        .getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions()
                .setName("Carry the cover to Case laminate, Dunlin Casebinders")
                .setExact(true))
        .click();
    desk.page.locator("#carry-make").click();
    desk.page.waitForURL(Pattern.compile(".*/editions/\\d+/carried"));
    desk.page.navigate("/titles");
    Download out =
        desk.page.waitForDownload(
            () ->
                desk.page
                    .getByRole(
                        AriaRole.LINK,
                        new Page.GetByRoleOptions().setName("Package of Out and in, all editions"))
                    .click());
    assertThat(out.suggestedFilename()).isEqualTo("out-and-in.reglet.zip");
    desk.page.locator("#package").setInputFiles(out.path());
    desk.page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take it in")).click();
    desk.page.waitForURL("**/docket");
    assertThat(desk.page.locator("#title")).hasValue("Out and in");
    desk.bench();
    Hands h = new Hands.OfMouse(desk);
    h.choose("title");
    h.type("#b-colour", "#aa3311");
    desk.page.navigate("/editions/" + desk.id() + "/carried");
    assertThat(desk.page.locator("#followers td.follows")).hasText("1 to take");
  }

  @Test(groups = Extent.LONG)
  public void anotherSheetUnderAKnownIdIsKeptBesideItUnderAnother() throws IOException {
    try (Own reglet = new Own("--reglet.demo=true")) {
      Map<String, byte[]> parts = parts(download(reglet.web(), 1));
      String sheet =
          parts.keySet().stream().filter(n -> n.startsWith("sheets/")).findFirst().orElseThrow();
      String text = new String(parts.get(sheet), StandardCharsets.UTF_8);
      String id = JSON.readTree(text).get("id").asString();
      parts.put(
          sheet,
          text.replace(
                  JSON.readTree(text).get("name").asString(), "A house that is called otherwise")
              .getBytes(StandardCharsets.UTF_8));
      for (int i = 0; i < 2; i++) {
        var taken = reglet.web().upload("/titles/package", Map.of(), "file", "a.zip", zip(parts));
        assertThat(taken.status()).as(taken.body()).isBetween(200, 303);
        assertThat(reglet.web().get(taken.location().replaceAll("^https?://[^/]*", "")).body())
            .contains("A house that is called otherwise");
      }
      assertThat(reglet.web().get("/houses/" + id + "-2").status()).isEqualTo(200);
      assertThat(reglet.web().get("/houses/" + id + "-3").status()).isEqualTo(404);
    }
  }

  private static byte[] replaced(byte[] slip, String from, String to) {
    String text = new String(slip, StandardCharsets.UTF_8);
    assertThat(text).contains(from);
    return text.replace(from, to).getBytes(StandardCharsets.UTF_8);
  }

  @DataProvider
  Object[][] spoiled() throws IOException {
    Web web = new Web(Live.reglet().address());
    Desk desk = Desk.atBench("To be spoiled", "A blurb.").layout("Ledger");
    byte[] zip;
    try (var in =
        java.net
            .URI
            .create(web.address() + "/editions/" + desk.id() + "/package")
            .toURL()
            .openStream()) {
      zip = in.readAllBytes();
    }
    Map<String, byte[]> good = parts(zip);
    byte[] slip = good.get("package.json");
    String design =
        good.keySet().stream().filter(n -> n.startsWith("designs/")).findFirst().orElseThrow();
    String sheet =
        good.keySet().stream().filter(n -> n.startsWith("sheets/")).findFirst().orElseThrow();
    return Extent.of(
        9,
        new Object[][] {
          {"no ZIP", "a book".getBytes(StandardCharsets.UTF_8), "can't be read as a ZIP"},
          {"empty", new byte[0], "can't be read as a ZIP"},
          {"cut short", Arrays.copyOf(zip, zip.length / 2), "can't be read as a ZIP"},
          {"without a slip", with(good, "package.json", null), "it has no package.json"},
          {
            "another thing",
            with(good, "../../etc/passwd", new byte[1]),
            "is no part of a title’s package"
          },
          {"absolute", with(good, "/files/x", new byte[1]), "is no part of a title’s package"},
          {"no JSON", with(good, "package.json", "{".getBytes()), "can't be read"},
          {
            "of later",
            with(good, "package.json", replaced(slip, "reglet-package/1", "reglet-package/9")),
            "made by a newer Reglet"
          },
          {"of nothing", with(good, "package.json", "{}".getBytes()), "does not say"},
          {
            "with more",
            with(good, "package.json", replaced(slip, "\"reglet\"", "\"extra\" : 1, \"reglet\"")),
            "can't be read"
          },
          {"a design missing", with(good, design, null), "which is not in it"},
          {"a design that is none", with(good, design, "[]".getBytes()), "design"},
          {"a sheet missing", with(good, sheet, null), "which is not in it"},
          {"a sheet that is none", with(good, sheet, "{}".getBytes()), ""},
          {
            "a binding that is none",
            with(good, "package.json", replaced(slip, "perfect-bound", "stone-bound")),
            "can't be read: its binding"
          },
          {
            "a trim that is none",
            with(good, "package.json", replaced(slip, "\"trim\" : \"", "\"trim\" : \"wide ")),
            "can't be read: its binding"
          },
          {
            "a column that is none",
            with(good, "package.json", replaced(slip, "\"stock\"", "\"taken_away\"")),
            "can't be read"
          },
          {
            "a revision that lacks",
            with(good, "package.json", replaced(slip, "\"revision\" : ", "\"revision\" : 9")),
            "is missing"
          },
          {
            "without a name",
            with(good, "package.json", replaced(slip, "To be spoiled", " ")),
            "the title has no name"
          },
          {
            "too long",
            with(good, "package.json", replaced(slip, "To be spoiled", "x".repeat(600))),
            "missing or too long"
          },
          {
            "carried from itself",
            with(
                good,
                "package.json",
                replaced(
                    slip,
                    "\"carried\" : null",
                    "\"carried\" : {\"from\" : 0, \"originRevision\" : 1, \"revision\" : 1, \"bases\" : {}}")),
            "from one that is not in it"
          },
          {
            "a count that is none",
            with(good, "package.json", replaced(slip, "\"pages\" : \"", "\"pages\" : \"-")),
            "can't be read: its binding"
          },
          {
            "a fact too long for its place",
            with(
                good,
                "package.json",
                replaced(slip, "\"ink\" : \"", "\"ink\" : \"" + "x".repeat(400))),
            "longer than is kept here"
          },
          {
            "a file without a kind",
            with(
                good,
                "package.json",
                replaced(
                    slip,
                    "\"files\" : [ ]",
                    "\"files\" : [ {\"sha\" : \""
                        + "0".repeat(64)
                        + "\", \"kind\" : null, \"name\" : \"x\"} ]")),
            "a file has no kind"
          },
          {
            "a picture without a licence",
            with(
                good,
                "package.json",
                replaced(
                    slip,
                    "\"pictures\" : [ ]",
                    "\"pictures\" : [ {\"sha\" : \""
                        + "0".repeat(64)
                        + "\", \"name\" : \"x\", \"licence\" : null, \"source\" : \"\", \"credit\" : \"\"} ]")),
            "no licence"
          },
          {
            "a file that is not in it",
            with(
                good,
                "package.json",
                replaced(
                    slip,
                    "\"files\" : [ ]",
                    "\"files\" : [ {\"sha\" : \""
                        + "0".repeat(64)
                        + "\", \"kind\" : \"picture\", \"name\" : \"x\"} ]")),
            "which is not in it"
          },
          {"much of nothing", with(good, "designs/z.json", new byte[40_000_000]), "is too large"},
        });
  }

  private static byte[] with(Map<String, byte[]> good, String name, byte[] part)
      throws IOException {
    Map<String, byte[]> parts = new LinkedHashMap<>(good);
    if (part == null) {
      parts.remove(name);
    } else {
      parts.put(name, part);
    }
    return zip(parts);
  }

  @Test(dataProvider = "spoiled")
  public void whatIsNoPackageGetsASentenceAndLeavesNothing(String what, byte[] zip, String sentence)
      throws IOException {
    Web web = new Web(Live.reglet().address());
    int titles = web.get("/titles").body().split("/package", -1).length;
    var refused = web.upload("/titles/package", Map.of(), "file", "a.zip", zip);
    assertThat(refused.status()).as(what + ": " + refused.body()).isEqualTo(400);
    assertThat(refused.body().replace("&#39;", "'")).contains(sentence).doesNotContain("Exception");
    assertThat(web.get("/titles").body().split("/package", -1)).hasSize(titles);
  }

  @Test
  public void aDamagedFileInItIsToldAndNothingComesIn() throws IOException {
    Web web = new Web(Live.reglet().address());
    Map<String, byte[]> parts = parts(download(web, 1));
    String file =
        parts.keySet().stream().filter(n -> n.startsWith("files/")).findFirst().orElseThrow();
    byte[] bytes = parts.get(file).clone();
    bytes[bytes.length / 2] ^= 1;
    parts.put(file, bytes);
    int titles = web.get("/titles").body().split("/package", -1).length;
    var refused = web.upload("/titles/package", Map.of(), "file", "a.zip", zip(parts));
    assertThat(refused.status()).isEqualTo(400);
    assertThat(refused.body()).contains("is damaged: its bytes are not those of its name");
    assertThat(web.get("/titles").body().split("/package", -1)).hasSize(titles);
  }
}
