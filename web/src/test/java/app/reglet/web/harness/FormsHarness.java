package app.reglet.web.harness;

import app.reglet.testing.Scratch;
import app.reglet.web.harness.Web.Answer;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * Walks Reglet's pages, takes every form and button that sends something, and sends it again and
 * again with one field after the other holding what no person meant to type; then addresses that no
 * page leads to.
 *
 * <p>{@code ./reglet harness forms [values]}
 */
public final class FormsHarness {
  /** Sixty values: empty, huge, wrong, of other scripts, of other languages' syntax. */
  static final List<String> NASTY =
      List.of(
          "",
          " ",
          "0",
          "-1",
          "1",
          "-0.0001 mm",
          "1e9",
          "1e999999999",
          "-1e999999999 mm",
          "0x7fffffff",
          "2147483648",
          "-2147483649",
          "9223372036854775808",
          "999999999999999999999",
          "NaN",
          "Infinity",
          "null",
          "undefined",
          "true",
          "3 furlongs",
          "6 x",
          "x 9",
          "6 x 9 x 9",
          "1/0 in",
          "((((",
          "12,5",
          "1,000",
          "1.2.3",
          "１２３",
          "٣ mm",
          "½ in",
          "\u0000",
          "a\u0000b",
          "\u202E9 x 6",
          "\uFEFF",
          "\u0007\u001b[31m",
          "<script>alert(1)</script>",
          "\"><img src=x onerror=alert(1)>",
          "' or 1=1 --",
          "'; drop table book; --",
          "${7*7}",
          "__${7*7}__::.x",
          "#{x}",
          "{x}",
          "%s%n%d",
          "%00",
          "%ZZ",
          "../../etc/passwd",
          "/",
          "//elsewhere.example/",
          "\\\\server\\share",
          "centre",
          "CENTRE",
          "front.safe",
          "front.nowhere",
          "#12345",
          "rgb(300,0,0)",
          "🦀".repeat(40),
          "e\u0301".repeat(300),
          "9".repeat(5000));

  /** Fields that tell what is changed, and of what. */
  private static final Set<String> EVERYWHERE = Set.of("base", "edit", "piece", "from", "version");

  /** Addresses that a script may try. */
  static final List<String> ADDRESSES =
      List.of(
          "/editions/%20/docket",
          "/editions/x/bench",
          "/editions/-1/dispatch",
          "/editions/0/docket",
          "/editions/99999999999999999999/docket",
          "/editions/1/what-if?pages=x",
          "/editions/1/what-if/at?pages=",
          "/editions/1/what-if/at?pages=99999999999",
          "/editions/1/side-by-side?sort=%00&way=%ff",
          "/editions/1/bench?chosen=%ZZ",
          "/editions/1/bench?chosen=%c3%28",
          "/editions/1/press-file?page=../../x",
          "/editions/1/templates/..%2f..%2fx",
          "/editions/1/templates/wrap.svg?ppi=0",
          "/editions/1/templates/wrap.png?ppi=99999999",
          "/editions/1/history",
          "/houses/nowhere",
          "/houses/gannet-and-gauge?v=0",
          "/houses/gannet-and-gauge?v=x",
          "/houses/%2e%2e%2f",
          "/houses/drafts/x",
          "/houses/drafts/999999",
          "/houses/gannet-and-gauge/document?v=99",
          "/pictures/x/preview",
          "/pictures/" + "0".repeat(64) + "/preview",
          "/inspect?edition=x",
          "/inspect?edition=999999",
          "/unit",
          "/error",
          "/people/x",
          "/control/orders",
          "/titles;a=b",
          "/titles/../titles",
          "//titles",
          "/%2e%2e/titles",
          "/titles%00",
          "/titles?%ZZ=%ZZ",
          "/titles?a=%ff%fe",
          "/" + "a".repeat(7000));

  /** What came of it. */
  public record Outcome(int forms, int requests, List<String> failed) {}

  /** Something that sends: where to, and what. */
  private record Sender(String page, String path, boolean upload, Map<String, String> fields) {
    String key() {
      return path.replaceAll("\\d+", "N")
          + fields.keySet()
          + fields.getOrDefault("act", "")
          + fields.getOrDefault("edit", "");
    }
  }

  private final Web web;
  private final List<String> values;
  private final Set<String> seen = new LinkedHashSet<>();
  private final Set<String> everywhere = new LinkedHashSet<>();
  private final List<String> failed = new ArrayList<>();
  private int requests;
  private int forms;

  private FormsHarness(Web web, List<String> values) {
    this.web = web;
    this.values = values;
  }

  public static void main(String[] args) throws Exception {
    int values = args.length > 0 ? Integer.parseInt(args[0]) : NASTY.size();
    Path data = Scratch.directory("reglet-forms");
    boolean well;
    try (Subject reglet = new Subject(data)) {
      reglet.start("--reglet.demo=true");
      Outcome o = run(reglet.web(), NASTY.subList(0, Math.min(values, NASTY.size())));
      o.failed().forEach(System.out::println);
      String log = reglet.log();
      long traces = log.lines().filter(l -> l.startsWith("\tat ")).count();
      System.out.printf(
          "forms: %d forms and buttons, %d requests, %d answered 500 or worse, %d lines of traces in the log%n",
          o.forms(), o.requests(), o.failed().size(), traces);
      if (traces > 0) {
        Files.writeString(Path.of("reglet-harness.log"), log);
        System.out.println("the log is in reglet-harness.log");
      }
      well = o.failed().isEmpty() && traces == 0;
    }
    System.exit(well ? 0 : 1);
  }

  /** Sends everything; {@code failed} holds what was answered with 500 or more, or with a trace. */
  public static Outcome run(Web web, List<String> values) throws IOException {
    FormsHarness harness = new FormsHarness(web, values);
    harness.go();
    return new Outcome(harness.forms, harness.requests, harness.failed);
  }

  private void go() throws IOException {
    Answer titles = web.get("/titles");
    List<String> pages = new ArrayList<>(List.of("/titles", "/houses", "/inspect", "/backup"));
    List<String> ids =
        Jsoup.parse(titles.body()).select("a[href*=/docket]").eachAttr("href").stream()
            .map(h -> h.replaceAll("\\D", ""))
            .distinct()
            .toList();
    String draft = web.post("/houses/dunlin-casebinders/copy", List.of(), false).location();
    for (String id : ids.subList(0, Math.min(2, ids.size()))) {
      String at = "/editions/" + id;
      for (String place :
          List.of(
              "/docket",
              "/bench",
              "/dispatch",
              "/what-if",
              "/side-by-side",
              "/templates",
              "/history")) {
        pages.add(at + place);
      }
      Document bench = Jsoup.parse(web.get(at + "/bench").body());
      bench.select("[data-piece]").eachAttr("data-piece").stream()
          .distinct()
          .filter(p -> List.of("title", "band-1", "barcode-1").contains(p)) // one of each kind
          .forEach(p -> pages.add(at + "/bench?chosen=" + p));
    }
    pages.add("/houses/gannet-and-gauge");
    pages.add(draft.replaceAll("^https?://[^/]+", ""));
    for (String page : pages) {
      for (Sender sender : senders(page)) {
        if (seen.add(sender.key())) {
          forms++;
          send(sender);
        }
      }
    }
    withPeople();
    for (String address : ADDRESSES) {
      judge("GET " + address, raw(address));
    }
    for (byte[] body :
        List.of(
            new byte[] {(byte) 0xff, (byte) 0xfe, '=', (byte) 0xc3, '('},
            "%ZZ=%".getBytes(),
            "a=%ff%fe".getBytes())) {
      judge("POST /titles, a body that is no UTF-8", rawPost("/titles", body));
    }
  }

  /** Once somebody is set up everybody signs in, so this comes last. */
  private void withPeople() throws IOException {
    Answer first =
        web.post("/people", List.of(Map.entry("name", "Owner"), Map.entry("role", "owner")), false);
    web.signIn("Owner", first.find("id=\"made-password\">([a-z2-9-]+)<"));
    web.post("/people", Map.of("name", "Other", "role", "reader"));
    for (String page : List.of("/people", "/account", "/sign-in")) {
      for (Sender sender : senders(page)) {
        boolean own = sender.path().matches("/people/1/.*|/account/sign-out-everywhere|/sign-out");
        if (!own && !sender.path().equals("/sign-in") && seen.add(sender.key())) {
          forms++;
          send(sender);
        }
      }
    }
    Web stranger = new Web(web.address());
    for (String value : values) {
      judge("signing in as " + shown(value), stranger.signIn(value, value));
      requests++;
    }
  }

  /** Everything on a page that sends something. */
  private List<Sender> senders(String page) throws IOException {
    Document d = Jsoup.parse(web.get(page).body());
    List<Sender> senders = new ArrayList<>();
    for (Element form : d.select("form")) {
      String path = form.hasAttr("hx-post") ? form.attr("hx-post") : form.attr("action");
      if (path.isEmpty() || form.attr("method").equalsIgnoreCase("get")) {
        continue;
      }
      Map<String, String> fields = fields(form, d);
      senders.add(new Sender(page, path, !form.select("input[type=file]").isEmpty(), fields));
    }
    for (Element button : d.select("button[hx-post]")) {
      Map<String, String> fields = new LinkedHashMap<>();
      if (button.attr("hx-include").equals("#draft-form")) {
        fields.put("version", d.select("#draft-version").attr("value"));
      }
      Element base = d.selectFirst("#base");
      if (base != null) {
        fields.put("base", base.attr("value"));
      }
      String vals = button.attr("hx-vals");
      java.util.regex.Matcher m =
          java.util.regex.Pattern.compile("\"(\\w+)\":\"?([^\",}]*)\"?").matcher(vals);
      while (m.find()) {
        fields.put(m.group(1), m.group(2));
      }
      senders.add(new Sender(page, button.attr("hx-post"), false, fields));
    }
    if (page.contains("/bench")) {
      edits(page, d, senders);
    }
    return senders;
  }

  /** What the bench sends: a field or button says which change it makes, and of what. */
  private static void edits(String page, Document d, List<Sender> senders) {
    String at = page.replaceAll("\\?.*", "") + "/edits";
    String piece = d.select("#title-block").attr("data-chosen");
    for (Element e : d.select("[data-edit]")) {
      Map<String, String> fields = new LinkedHashMap<>();
      fields.put("base", d.select("#base").attr("value"));
      fields.put("edit", e.attr("data-edit"));
      fields.put("piece", piece);
      fields.put("from", "sheet");
      e.dataset().forEach((name, value) -> fields.put(name, value));
      if (e.hasAttr("name")) {
        fields.put(e.attr("name"), e.hasAttr("value") ? e.attr("value") : "1");
      }
      senders.add(new Sender(page, at, false, fields));
    }
    for (String[] edit :
        new String[][] {
          {"move", "right", "down"},
          {"resize", "left", "top", "right", "bottom"},
          {"add", "what"},
          {"group"},
          {"rename", "name"},
          {"swatch", "name", "colour"},
          {"appear", "opacity", "blend"}
        }) {
      Map<String, String> fields = new LinkedHashMap<>();
      fields.put("base", d.select("#base").attr("value"));
      fields.put("edit", edit[0]);
      fields.put("piece", piece);
      for (int i = 1; i < edit.length; i++) {
        fields.put(edit[i], "5");
      }
      senders.add(new Sender(page, at, false, fields));
    }
    for (String walk : d.select("[data-post]").eachAttr("data-post")) {
      Map<String, String> fields = new LinkedHashMap<>();
      fields.put("base", d.select("#base").attr("value"));
      senders.add(new Sender(page, page.replaceAll("\\?.*", "") + walk, false, fields));
    }
  }

  private static Map<String, String> fields(Element form, Document page) {
    Map<String, String> fields = new LinkedHashMap<>();
    for (Element e : form.select("[name]")) {
      if (e.attr("type").equals("file")) {
        continue;
      }
      String value =
          e.normalName().equals("select")
              ? e.select("option[selected]").attr("value")
              : e.normalName().equals("textarea") ? e.text() : e.attr("value");
      if (e.normalName().equals("select") && value.isEmpty()) {
        value = e.select("option").attr("value");
      }
      fields.put(e.attr("name"), value);
    }
    Element base = page.selectFirst("#base");
    if (base != null) {
      fields.putIfAbsent("base", base.attr("value"));
    }
    return fields;
  }

  private void send(Sender sender) throws IOException {
    List<String> names = new ArrayList<>(sender.fields().keySet());
    boolean wide = names.size() > 60; // a rule sheet: each field alone, beside the version
    Map<String, String> fresh = new LinkedHashMap<>(sender.fields());
    for (String name : names) {
      // what every change says is tried once for each address, unless all values are
      if (EVERYWHERE.contains(name)
          && !everywhere.add(sender.path().replaceAll("\\d+", "N") + " " + name)
          && values.size() < NASTY.size()) {
        continue;
      }
      int turn = 0;
      for (String value : values) {
        Map<String, String> form = new LinkedHashMap<>(wide ? Map.of() : fresh);
        if (wide && fresh.containsKey("version")) {
          form.put("version", fresh.get("version"));
        }
        form.put(name, value);
        Answer a = post(sender, form);
        judge("POST " + sender.path() + " " + name + "=" + shown(value), a);
        refresh(sender, a, fresh);
        if (wide && ++turn >= 6) {
          break; // six of the values for each of its hundred fields
        }
      }
    }
    if (names.isEmpty()) {
      judge("POST " + sender.path(), post(sender, Map.of()));
    }
    for (String name :
        List.of("/", "..", "a".repeat(3000), "\u202Egpj.exe", "a\tb", "%00.png", "")) {
      if (sender.upload()) {
        judge(
            "POST " + sender.path() + " a file named " + shown(name),
            upload(sender, fresh, name, "no picture at all".getBytes()));
      }
    }
  }

  private Answer post(Sender sender, Map<String, String> form) throws IOException {
    requests++;
    return sender.upload()
        ? web.upload(sender.path(), form, "file", "x.pdf", "no PDF".getBytes())
        : web.post(sender.path(), form);
  }

  private Answer upload(Sender sender, Map<String, String> form, String name, byte[] file)
      throws IOException {
    requests++;
    String field = sender.path().endsWith("/picture") ? "picture" : "file";
    return web.upload(sender.path(), form, field, name, file);
  }

  /** Versions and revisions go on with each thing that was taken. */
  private void refresh(Sender sender, Answer a, Map<String, String> fresh) throws IOException {
    Document d =
        a.status() == 200 && a.has("name=\"(version|base)\"")
            ? Jsoup.parse(a.body())
            : a.status() == 409 || a.status() == 302 || a.status() == 303
                ? Jsoup.parse(web.get(sender.page()).body())
                : null;
    if (d == null) {
      return;
    }
    for (String name : List.of("version", "base")) {
      Element e = d.selectFirst("[name=" + name + "]");
      if (e != null && fresh.containsKey(name)) {
        fresh.put(name, e.attr("value"));
      }
    }
  }

  private void judge(String what, Answer a) {
    boolean bad = a.status() >= 500 && a.status() != 503;
    if (bad || a.body().contains("\tat ") || a.body().contains("<script>alert(1)")) {
      failed.add(a.status() + " " + what);
    }
  }

  private Answer raw(String address) throws IOException {
    requests++;
    return RawHttp.send(web.address(), "GET", address, Map.of(), new byte[0]);
  }

  private Answer rawPost(String address, byte[] body) throws IOException {
    requests++;
    return RawHttp.send(
        web.address(),
        "POST",
        address,
        Map.of("Content-Type", "application/x-www-form-urlencoded"),
        body);
  }

  private static String shown(String value) {
    String plain =
        value
            .codePoints()
            .limit(40)
            .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
            .toString();
    return "“" + plain.replaceAll("\\p{Cntrl}", "?") + "”";
  }
}
