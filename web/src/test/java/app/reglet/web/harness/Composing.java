package app.reglet.web.harness;

import app.reglet.web.harness.Web.Answer;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;

/** Somebody composing one cover: what a person does on docket and bench, request by request. */
final class Composing {
  final Web web;
  final String edition;

  /** The last revision that was acknowledged. */
  int revision;

  /** The last author that was acknowledged. */
  String author = "";

  private String version = "";

  private Composing(Web web, String edition) {
    this.web = web;
    this.edition = edition;
  }

  /** Makes a title, measures it and lays a cover. */
  static Composing begin(Web web, String title) throws IOException {
    Answer made =
        web.post(
            "/titles",
            java.util.List.of(Map.entry("title", title), Map.entry("author", "Nobody yet")),
            false);
    String id = made.location().replaceAll(".*/editions/(\\d+)/.*", "$1");
    if (!id.matches("\\d+")) {
      throw new IllegalStateException("no title was made: " + made.status() + " " + made.body());
    }
    Composing c = new Composing(web, id);
    c.author("Maren Aldous", "320");
    c.sync();
    Answer laid =
        web.post(
            c.bench("/edits"),
            Map.of("edit", "layout", "base", String.valueOf(c.revision), "layout", "tidemark"));
    c.took(laid);
    return c;
  }

  /** The same cover, asked for anew: after a start, or in another window. */
  Composing on(Web other) {
    Composing c = new Composing(other, edition);
    c.revision = revision;
    c.author = author;
    return c;
  }

  String bench(String path) {
    return "/editions/" + edition + "/bench" + path;
  }

  /** Looks at what is there now. */
  void sync() throws IOException {
    Answer bench = web.get(bench(""));
    revision = Integer.parseInt(bench.find("id=\"base\" name=\"base\" value=\"(\\d+)\""));
  }

  private Answer took(Answer a) {
    if (a.status() == 200) {
      revision = Integer.parseInt(a.find("id=\"base\" name=\"base\" value=\"(\\d+)\""));
    }
    return a;
  }

  /** Moves the title. */
  Answer move(double left, double top) throws IOException {
    Map<String, String> form = new LinkedHashMap<>();
    form.put("base", String.valueOf(revision));
    form.put("edit", "place");
    form.put("piece", "title");
    form.put("from", "sheet");
    form.put("left", left + " mm");
    form.put("top", top + " mm");
    form.put("width", "90 mm");
    form.put("height", "40 mm");
    return took(web.post(bench("/edits"), form));
  }

  /** Types an author on the docket. */
  Answer author(String name, String pages) throws IOException {
    if (version.isEmpty()) {
      version =
          web.get("/editions/" + edition + "/docket").find("name=\"version\" value=\"([\\d.]+)\"");
    }
    Map<String, String> form = new LinkedHashMap<>();
    form.put("version", version);
    form.put("title", "Title " + edition);
    form.put("author", name);
    form.put("house", "gannet-and-gauge");
    form.put("binding", "perfect-bound");
    form.put("trim", "6 x 9 in");
    form.put("pages", pages);
    form.put("stock", "cream");
    form.put("ink", "black");
    form.put("turn", "ltr");
    Answer a = web.post("/editions/" + edition + "/docket", form);
    if (a.status() == 200) {
      version = a.find("name=\"version\" value=\"([\\d.]+)\"");
      author = name;
    } else {
      version = "";
    }
    return a;
  }

  /** Brings a background picture. */
  Answer picture(byte[] file) throws IOException {
    return took(
        web.upload(
            bench("/picture"),
            Map.of("base", String.valueOf(revision)),
            "picture",
            "sea.png",
            file));
  }

  /** Brings a PDF to be inspected; 200 when it was read. */
  Answer inspect(byte[] file) throws IOException {
    Answer a = web.upload("/inspect", Map.of("edition", edition), "file", "wrap.pdf", file);
    return a.body().contains("The file</h2>") ? a : new Answer(422, a.body(), "", a.millis());
  }

  /** Fetches the press file; 200 when it is one. */
  Answer pressFile() throws IOException {
    return web.fetch("/editions/" + edition + "/press-file", "%PDF");
  }
}
