package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Page;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.testng.annotations.Test;

/** Every field of the docket and of a rule sheet with everything a hand or a script may put in. */
public class NastyInputTest {
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  private static final List<String> NASTY =
      List.of(
          "",
          " ",
          "0",
          "-1",
          "-0.0001 mm",
          "1e9",
          "999999999999999999999",
          "3 furlongs",
          "6 x",
          "x 9",
          "1/0 in",
          "((((",
          "12,5",
          "1,000",
          "１２３",
          "٣ mm",
          "NaN",
          "\u0000",
          "\u202E9 x 6",
          "<script>alert(1)</script>",
          "' or 1=1 --",
          "${7*7}",
          "🦀".repeat(40),
          "9".repeat(5000));

  private static HttpResponse<String> post(String path, Map<String, String> form) throws Exception {
    String body =
        form.entrySet().stream()
            .map(e -> code(e.getKey()) + "=" + code(e.getValue()))
            .collect(Collectors.joining("&"));
    return HTTP.send(
        HttpRequest.newBuilder(URI.create(Live.reglet().address() + path))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .header("HX-Request", "true")
            .POST(HttpRequest.BodyPublishers.ofString(body))
            .build(),
        HttpResponse.BodyHandlers.ofString());
  }

  private static String code(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }

  private static String version(String html) {
    Matcher m = Pattern.compile("name=\"version\" value=\"([\\d.]+)\"").matcher(html);
    assertThat(m.find()).as(html).isTrue();
    return m.group(1);
  }

  private static void sane(HttpResponse<String> r, String what) {
    assertThat(r.statusCode()).as(what).isEqualTo(200);
    assertThat(r.body())
        .as(what)
        .doesNotContain("Exception", "<script>alert", "Reglet failed")
        .doesNotContain("\tat ");
  }

  @Test(groups = Extent.LONG)
  public void everyFieldOfTheDocket() throws Exception {
    Desk desk = Desk.open().makeTitle("Nasty", "Nobody").fill("A5", "320", "");
    desk.choose("house", "sandling-and-daughters").choose("binding", "flapped");
    Page page = desk.page;
    Map<String, String> good = new LinkedHashMap<>();
    for (var field : page.locator("#docket [name]").all()) {
      if (!"checkbox".equals(field.getAttribute("type"))) {
        good.put(field.getAttribute("name"), field.inputValue());
      }
    }
    assertThat(good).containsKeys("frontFlap", "backFlap", "spread", "trim", "house");
    good.put("told", "");
    good.put("toldSource", "");
    String path = "/editions/" + desk.id() + "/docket";
    String version = good.get("version");
    int turn = 0;
    for (String field : good.keySet()) {
      if (field.equals("version") || field.equals("house")) {
        continue;
      }
      // one for each field, another for the next, where not all are tried
      for (int i = 0; i < Extent.rounds(1, NASTY.size()); i++) {
        String nasty = NASTY.get(turn++ % NASTY.size());
        Map<String, String> form = new LinkedHashMap<>(good);
        form.put("version", version);
        form.put(field, nasty);
        HttpResponse<String> r = post(path, form);
        sane(r, field + " = " + nasty);
        version = version(r.body());
      }
    }
    // and it is still a docket
    page.reload();
    assertThat(page.locator("#docket").count()).isEqualTo(1);
  }

  @Test(groups = Extent.LONG)
  public void everyFieldOfARuleSheet() throws Exception {
    Page page = Live.reglet().page();
    page.navigate("/houses/dunlin-casebinders");
    page.getByText("Copy it").click();
    page.waitForURL(Pattern.compile(".*/houses/drafts/\\d+"));
    String path = page.url().replaceFirst(".*(/houses/drafts/\\d+).*", "$1");
    List<String> names =
        page.locator("#draft-form [name]").all().stream()
            .map(f -> f.getAttribute("name"))
            .filter(n -> !n.startsWith("_") && !n.equals("version") && !n.equals("newBinding"))
            .distinct()
            .toList();
    assertThat(names).hasSizeGreaterThan(100);
    String version = page.locator("#draft-version").inputValue();
    int turn = 0;
    for (String name : names) {
      // some of the nasty values for each field, others for the next
      for (int i = 0; i < Extent.rounds(1, 3); i++) {
        String nasty = NASTY.get(turn++ % NASTY.size());
        HttpResponse<String> r = post(path, Map.of("version", version, name, nasty));
        sane(r, name + " = " + nasty);
        version = version(r.body());
      }
    }
    for (String act :
        List.of(
            "add bindings[0].spine",
            "drop bindings[0].spine[99]",
            "up bindings[0].spine[0]",
            "paste bindings[0].spine[0] 0 0",
            "add name",
            "drop name",
            "drop format",
            "shape")) {
      HttpResponse<String> r =
          post(path, Map.of("version", version, "act", act, "pasted", "a\tb\n1-2\t3"));
      assertThat(r.statusCode()).as(act).isIn(200, 400);
      assertThat(r.body()).as(act).doesNotContain("Exception", "Reglet failed");
      if (r.statusCode() == 200) {
        version = version(r.body());
      }
    }
    HttpResponse<String> huge =
        post(path, Map.of("version", version, "about", "x".repeat(1_100_000)));
    assertThat(huge.statusCode()).isEqualTo(400);
    assertThat(huge.body()).contains("characters; a rule sheet has at most");
    for (String act :
        List.of("explode", "add ../../etc", "paste x -1 0", "add " + "a.".repeat(60))) {
      assertThat(post(path, Map.of("version", version, "act", act)).statusCode())
          .as(act)
          .isEqualTo(400);
    }
    page.reload();
    assertThat(page.locator("#draft-answer").innerText()).contains("to mend");
  }
}
