package app.reglet.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import app.reglet.testing.Patience;
import app.reglet.testing.Scratch;
import app.reglet.web.Own;
import app.reglet.web.Templates;
import app.reglet.web.harness.FormsHarness;
import app.reglet.web.harness.RawHttp;
import app.reglet.web.harness.Subject;
import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.reflect.Proxy;
import java.net.Socket;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.springframework.web.multipart.MultipartException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Whatever is asked, the answer is a page or a sentence. */
public class AnswersTest {
  private Own reglet;

  @BeforeClass
  public void start() throws Exception {
    reglet = new Own("--reglet.demo=true");
  }

  @AfterClass(alwaysRun = true)
  public void stop() {
    reglet.close();
  }

  @Test(groups = Extent.LONG)
  public void noFieldOfAnyFormGivesA500() throws Exception {
    try (Own own = new Own("--reglet.demo=true")) {
      FormsHarness.Outcome o =
          FormsHarness.run(
              own.web(),
              List.of("9".repeat(5000), "0", "1e999999999", "\u0000", "{x}", "centre", "%ZZ", ""));
      assertThat(o.failed()).isEmpty();
      assertThat(o.forms()).isGreaterThan(40);
      assertThat(o.requests()).isGreaterThan(1500);
    }
  }

  private Answer raw(String method, String target, Map<String, String> headers, byte[] body)
      throws Exception {
    return RawHttp.send(reglet.address(), method, target, headers, body);
  }

  @Test
  public void choicesAreReadInAnyCase() throws Exception {
    Web web = reglet.web();
    String base = web.get("/editions/1/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    Map<String, String> form = new LinkedHashMap<>();
    form.put("base", base);
    form.put("edit", "set");
    form.put("piece", "title");
    form.put("source", "title");
    form.put("face", "spectral-bold");
    form.put("size", "40");
    form.put("leading", "1.1");
    form.put("tracking", "0");
    form.put("colour", "#ffffff");
    form.put("align", "centre");
    form.put("vertical", "Middle");
    form.put("direction", "level");
    Answer a = web.post("/editions/1/bench/edits", form);
    assertThat(a.status()).as(a.body()).isEqualTo(200);
    form.put("base", a.find("id=\"base\" name=\"base\" value=\"(\\d+)\""));
    form.put("align", "crooked");
    Answer wrong = web.post("/editions/1/bench/edits", form);
    assertThat(wrong.status()).isEqualTo(400);
    assertThat(wrong.body()).contains("“crooked” is none of the choices here");
  }

  @Test
  public void goingBackLeadsNowhereElse() throws Exception {
    for (String back :
        List.of(
            "/{x}",
            "//elsewhere.example",
            "/\\elsewhere.example",
            "https://elsewhere.example/",
            "/a\r\nX: y",
            "",
            "/ü")) {
      Answer a =
          reglet
              .web()
              .post("/unit", List.of(Map.entry("unit", "mm"), Map.entry("back", back)), false);
      assertThat(a.status()).as(back).isEqualTo(302);
      assertThat(a.location()).as(back).endsWith("/titles");
    }
    Answer home =
        reglet
            .web()
            .post(
                "/unit",
                List.of(Map.entry("unit", "mm"), Map.entry("back", "/editions/1/bench")),
                false);
    assertThat(home.location()).endsWith("/editions/1/bench");
  }

  @Test
  public void addressesThatAreNoneGetASentence() throws Exception {
    for (String target :
        List.of(
            "/editions/%20/docket",
            "/editions/x/bench",
            "/editions/99999999999999999999/docket",
            "/nowhere",
            "/houses/nowhere")) {
      Answer a = raw("GET", target, Map.of(), new byte[0]);
      assertThat(a.status()).as(target).isEqualTo(404);
      assertThat(a.body()).as(target).contains("class=\"sentence\"");
    }
    for (String target :
        List.of("/titles?%ZZ=1", "/editions/1/bench?chosen=%ZZ", "/titles?a=%ff%fe")) {
      Answer a = raw("GET", target, Map.of(), new byte[0]);
      assertThat(a.status()).as(target).isIn(200, 400);
      assertThat(a.body()).as(target).doesNotContain("\tat ");
    }
    assertThat(raw("GET", "/%ZZ", Map.of(), new byte[0]).status()).isEqualTo(400);
    for (byte[] body :
        List.of(
            "title=%ZZ".getBytes(),
            new byte[] {'t', 'i', 't', 'l', 'e', '=', (byte) 0xff, (byte) 0xfe})) {
      Answer a =
          raw("POST", "/titles", Map.of("Content-Type", "application/x-www-form-urlencoded"), body);
      assertThat(a.status()).isIn(302, 400);
      assertThat(a.body()).doesNotContain("\tat ");
    }
  }

  @Test
  public void filesOfAnyNameAreTaken() throws Exception {
    for (String name :
        List.of(
            "/",
            "..",
            "C:\\covers\\",
            "a".repeat(250) + ".pdf",
            "a".repeat(3000),
            "\u202Efdp.exe",
            "")) {
      Answer a = reglet.web().upload("/inspect", Map.of(), "file", name, "no PDF".getBytes());
      assertThat(a.status()).as(name).isEqualTo(200);
      assertThat(a.body()).as(name).contains("This file is no PDF");
    }
    Answer longest =
        reglet.web().upload("/inspect", Map.of(), "file", "a".repeat(20_000), "no PDF".getBytes());
    assertThat(longest.status()).isEqualTo(400);
    assertThat(longest.body())
        .contains("its name is too long")
        .doesNotContain("larger than 200 MB");
  }

  @Test
  public void aStepTableOf2000RowsIsWrittenAndPublished() throws Exception {
    Web web = reglet.web();
    String draft =
        web.post("/houses/osier-row/copy", List.of(), false)
            .location()
            .replaceAll("^https?://[^/]+", "");
    String version = web.get(draft).find("id=\"draft-version\" name=\"version\" value=\"(\\d+)\"");
    StringBuilder rows = new StringBuilder();
    for (int i = 0; i < 2000; i++) {
      rows.append(2 * i + 1).append('\t').append(2 * i + 2).append('\t').append((i + 1) + " mm\n");
    }
    Answer kind =
        web.post(
            draft,
            Map.of("version", version, "bindings[0].spine[0].kind", "steps", "act", "shape"));
    Answer pasted =
        web.post(
            draft,
            Map.of(
                "version",
                kind.find("id=\"draft-version\" name=\"version\" value=\"(\\d+)\""),
                "act",
                "paste bindings[0].spine[0] 0 0",
                "pasted",
                rows.toString()));
    assertThat(pasted.status()).isEqualTo(200);
    // the whole form, as the browser sends it with the next change
    Map<String, String> form = new LinkedHashMap<>();
    Jsoup.parse(web.get(draft).body())
        .select("#draft-form [name]")
        .forEach(
            e ->
                form.put(
                    e.attr("name"),
                    e.normalName().equals("select")
                        ? e.select("option[selected]").attr("value")
                        : e.val()));
    assertThat(form).hasSizeGreaterThan(6000);
    Answer whole = web.post(draft, form);
    assertThat(whole.status()).as(whole.body()).isEqualTo(200);
    assertThat(web.get(draft + "/document").body()).contains("\"from\":3999");
    Answer more =
        web.post(
            draft,
            Map.of(
                "version",
                whole.find("id=\"draft-version\" name=\"version\" value=\"(\\d+)\""),
                "act",
                "paste bindings[0].spine[0] 2000 0",
                "pasted",
                "9\t10\t3 mm"));
    assertThat(more.status()).isEqualTo(400);
    assertThat(more.body()).contains("at most 2000 items");
  }

  @Test
  public void pagesAreNotCachedByOthersAndTheirPolicyForbidsInlineStyles() throws Exception {
    for (String page :
        List.of(
            "/titles",
            "/editions/1/docket",
            "/editions/1/bench",
            "/houses",
            "/nowhere",
            "/health")) {
      Answer a = raw("GET", page, Map.of(), new byte[0]);
      assertThat(a.body()).as(page).contains("Cache-Control: private, no-store");
      assertThat(a.body())
          .as(page)
          .contains("Content-Security-Policy: default-src 'self'")
          .doesNotContain("unsafe-inline");
      org.jsoup.nodes.Document d = Jsoup.parse(a.body().substring(a.body().indexOf("\r\n\r\n")));
      assertThat(d.select("[style], style, script:not([src])")).as(page).isEmpty();
    }
    Answer picture = reglet.web().get("/editions/1/bench");
    String sha = picture.find("/pictures/([0-9a-f]{64})/preview");
    assertThat(raw("GET", "/pictures/" + sha + "/preview", Map.of(), new byte[0]).body())
        .contains("Cache-Control: max-age=31536000, private, immutable");
    assertThat(raw("GET", "/reglet.css", Map.of(), new byte[0]).body())
        .contains("Cache-Control: max-age=3600");
  }

  private static long filesIn(Path dir) throws Exception {
    try (var list = Files.list(dir)) {
      return list.filter(Files::isRegularFile).count();
    }
  }

  @Test
  public void anInterruptedUploadLeavesNothing() throws Exception {
    Path uploads = reglet.data().resolve("uploads");
    URI at = URI.create(reglet.address());
    for (int i = 0; i < 3; i++) {
      try (Socket socket = new Socket(at.getHost(), at.getPort())) {
        OutputStream out = socket.getOutputStream();
        out.write(
            ("POST /inspect HTTP/1.1\r\nHost: localhost\r\nContent-Length: 5000000\r\nContent-Type: multipart/form-data; boundary=b\r\n\r\n--b\r\nContent-Disposition: form-data; name=\"file\"; filename=\"x.pdf\"\r\n\r\n")
                .getBytes());
        out.write(new byte[1_000_000]);
        out.flush();
      }
    }
    Answer whole = reglet.web().upload("/inspect", Map.of(), "file", "x.pdf", new byte[1_000_000]);
    assertThat(whole.status()).isEqualTo(200);
    // the server notices the broken ones when it next reads from them
    org.assertj.core.api.Assertions.assertThat(uploads).isDirectory();
    Patience.until("what was uploaded in part is deleted", () -> filesIn(uploads) == 0);
  }

  @Test
  public void whatAKillLeftIsClearedAtTheNextStart() throws Exception {
    Path data = Templates.empty();
    Files.write(data.resolve("uploads/upload_1.tmp"), new byte[10]);
    Files.createDirectories(data.resolve("uploads/reading1"));
    Files.write(data.resolve("uploads/reading1/PDFBox1.tmp"), new byte[10]);
    Files.createDirectories(data.resolve("pictures/ab"));
    Files.write(data.resolve("pictures/ab/abc-1.part"), new byte[10]);
    Files.createDirectories(data.resolve("backups/2026-01-01-1.part/pictures"));
    try (Own own = new Own(data)) {
      assertThat(filesIn(data.resolve("uploads"))).isZero();
      assertThat(data.resolve("uploads/reading1")).doesNotExist();
      assertThat(data.resolve("pictures/ab/abc-1.part")).doesNotExist();
      assertThat(data.resolve("backups/2026-01-01-1.part")).doesNotExist();
    }
  }

  @Test(groups = Extent.LONG)
  public void theFirstAnswerIsWithTheDemoInAndTheLogSaysWhatIsUp() throws Exception {
    Path data = Scratch.directory("first");
    try (Subject process = new Subject(data).quick()) {
      process.start("--reglet.demo=true");
      Answer first = process.web().get("/editions/6/docket");
      assertThat(first.status()).isEqualTo(200);
      assertThat(process.web().get("/titles").body()).contains("Letters from the Salt Road");
      process
          .web()
          .upload("/inspect", Map.of(), "file", "secret-title.pdf", "%PDF-1.4 x".getBytes());
      assertThat(process.log())
          .containsPattern(
              "Reglet .* is up at 127\\.0\\.0\\.1 port \\d+, data in "
                  + data
                  + ", open to this machine, nobody signs in")
          // among it: the migration tool saying that it isn't verified with this database
          .doesNotContain("secret-title", "Salt Road", "Maren", "Flyway", "WARN", "ERROR");
      process.stop();
      assertThat(process.log()).contains("Reglet is stopping");
      assertThat(data.resolve("reglet.running")).doesNotExist();
    }
  }

  /** A system says it in its own language: what counts is the room that is left. */
  @Test
  public void aFullDiskIsKnownByItsRoomWhateverTheSystemCallsIt() {
    HttpServletRequest request =
        (HttpServletRequest)
            Proxy.newProxyInstance(
                AnswersTest.class.getClassLoader(),
                new Class<?>[] {HttpServletRequest.class},
                (proxy, method, args) ->
                    method.getName().equals("getContentLengthLong") ? (Object) 5_000_000L : null);
    Throwable failed =
        new MultipartException(
            "x", new IOException("Auf dem Ger\u00e4t ist kein Speicherplatz mehr verf\u00fcgbar"));
    for (long left : new long[] {1_000_000, Room.UNKNOWN}) {
      Room room =
          new Room(reglet.bean(DataDirectory.class)) {
            @Override
            public long left() {
              return left;
            }
          };
      var answer = new Answers(room).to(failed, request);
      if (left == Room.UNKNOWN) {
        assertThat(answer.status().value()).isEqualTo(400);
      } else {
        assertThat(answer.status().value()).isEqualTo(507);
        assertThat(answer.sentence()).contains("disk is full");
      }
    }
  }
}
