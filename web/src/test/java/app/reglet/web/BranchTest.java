package app.reglet.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import java.io.IOException;
import java.util.Map;
import org.testng.annotations.Test;

/** Undo and redo along a history that branches. */
public class BranchTest {
  private final Web web = new Web(Live.reglet().address());
  private String bench;
  private String base;

  private Answer does(String path, String... field) throws IOException {
    Map<String, String> form =
        field.length == 0
            ? Map.of("base", base)
            : Map.of("base", base, "edit", "layout", field[0], field[1]);
    Answer a = web.post(bench + path, form);
    assertThat(a.status()).as(a.body()).isEqualTo(200);
    base = a.find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    return a;
  }

  private static boolean hasBand(Answer a) {
    return a.body().contains("data-piece=\"band-1\"");
  }

  /** A measured title; its edition's id. */
  private String measured(String title) throws IOException {
    String id =
        web.post("/titles", java.util.List.of(Map.entry("title", title)), false)
            .location()
            .replaceAll(".*/editions/(\\d+)/.*", "$1");
    web.post(
        "/editions/" + id + "/docket",
        Map.of(
            "version",
            web.get("/editions/" + id + "/docket").find("name=\"version\" value=\"([\\d.]+)\""),
            "title",
            title,
            "trim",
            "6 x 9 in",
            "pages",
            "320"));
    return id;
  }

  @Test
  public void redoGoesTheWayOfTheNewestChangeAndTheOldBranchStaysUndone() throws IOException {
    String id = measured("Branches");
    bench = "/editions/" + id + "/bench";
    base = web.get(bench).find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    assertThat(hasBand(does("/edits", "layout", "ledger"))).isFalse(); // 1
    assertThat(hasBand(does("/edits", "layout", "tidemark"))).isTrue(); // 2, on 1
    assertThat(hasBand(does("/undo"))).isFalse();
    does("/edits", "layout", "axis"); // 3, on 1: a branch
    assertThat(base).isEqualTo("3");
    assertThat(hasBand(does("/undo"))).isFalse();
    assertThat(base).isEqualTo("1");
    assertThat(web.get(bench).find("id=\"redo\"[^>]*title=\"([^\"]*)\""))
        .as("what redo would do")
        .startsWith("Redo: ")
        .contains("Axis");
    assertThat(hasBand(does("/redo"))).as("the old branch").isFalse();
    assertThat(base).isEqualTo("3");
    does("/redo"); // nothing further that way
    assertThat(base).isEqualTo("3");
    does("/undo");
    does("/undo");
    assertThat(base).isEqualTo("0");
    does("/redo");
    does("/redo");
    assertThat(base).as("redo of all").isEqualTo("3");
  }

  @Test
  public void aRevisionIsKeptUnderANameComparedAndGoneBackTo() throws IOException {
    String id = measured("Versions");
    bench = "/editions/" + id + "/bench";
    base = web.get(bench).find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    does("/edits", "layout", "ledger"); // 1
    String at = "/editions/" + id;
    Answer nameless = web.post(at + "/versions", Map.of("number", "1", "name", "  "));
    assertThat(nameless.status()).isEqualTo(400);
    assertThat(nameless.body()).contains("A version needs a name");
    assertThat(web.post(at + "/versions", Map.of("number", "9", "name", "none")).status())
        .isEqualTo(404);
    web.post(at + "/versions", Map.of("number", "1", "name", "To <the> printer", "note", "proof"));
    does("/edits", "layout", "tidemark"); // 2
    Answer history = web.get(at + "/history");
    assertThat(history.body()).contains("To &lt;the&gt; printer").contains("proof");
    assertThat(web.get(at + "/revisions/1/sheet").status()).isEqualTo(200);
    Answer compared = web.get(at + "/compare?first=1&second=2");
    assertThat(compared.body())
        .contains("“Band” was put on")
        .contains("“Title” ")
        .contains("To &lt;the&gt; printer, revision 1");
    assertThat(web.get(at + "/compare?first=2&second=2").body()).contains("They are the same.");
    assertThat(web.get(at + "/compare?first=7&second=2").status()).isEqualTo(404);
    // a stale window does not go back over what another did
    assertThat(web.post(at + "/versions/back", Map.of("base", "1", "number", "1")).status())
        .isEqualTo(409);
    web.post(at + "/versions/back", Map.of("base", "2", "number", "1"));
    Answer back = web.get(bench);
    base = back.find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    assertThat(base).isEqualTo("3");
    assertThat(hasBand(back)).isFalse();
    assertThat(hasBand(does("/undo"))).isTrue();
  }
}
