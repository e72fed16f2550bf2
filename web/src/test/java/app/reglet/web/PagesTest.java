package app.reglet.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.testing.Extent;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What holds for every page: access, addresses, errors. */
public class PagesTest {
  private static final HttpClient HTTP = HttpClient.newHttpClient();

  @DataProvider
  Object[][] pages() {
    Object[][] all = {
      {"/titles"},
      {"/houses"},
      {"/houses/gannet-and-gauge"},
      {"/houses/osier-row"},
      {"/inspect"},
      {"/inspect?edition=1"},
      {"/editions/1/docket"},
      {"/editions/2/docket"},
      {"/editions/1/bench"},
      {"/editions/1/bench?chosen=title"},
      {"/editions/2/bench"},
      {"/editions/1/dispatch"},
      {"/editions/1/proof"},
      {"/editions/5/proof?view=ink"},
      {"/houses/conditions"},
      {"/editions/2/dispatch"},
      {"/houses/sandling-and-daughters"},
      {"/houses/lantern-shelf"},
      {"/editions/3/docket"},
      {"/editions/4/docket"},
      {"/editions/5/docket"},
      {"/editions/6/docket"},
      {"/editions/5/bench"},
      {"/editions/6/bench"},
      {"/editions/4/dispatch"},
      {"/editions/1/what-if"},
      {"/editions/4/what-if"},
      {"/editions/1/side-by-side"},
      {"/editions/1/carry?house=dunlin-casebinders&binding=dust-jacket"},
      {"/editions/1/carried"},
      {"/editions/3/side-by-side?sort=cost&way=down"},
      {"/editions/1/templates"},
      {"/editions/6/templates"},
      {"/keys"},
      {"/editions/8/bench?side=inside"},
      {"/editions/1/compare?first=1&second=2"}
    };
    return Extent.of(3, all);
  }

  @Test(dataProvider = "pages")
  public void noAccessViolationAndNoSideways(String path) {
    Page page = Live.reglet().page();
    Response response = page.navigate(path);
    assertThat(response.status()).isEqualTo(200);
    assertThat(Live.violations(page)).isEmpty();
    assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
        .isLessThanOrEqualTo(1280);
  }

  /** That there are none elsewhere says something. */
  @Test
  public void aPictureWithoutWordsAndAFaintSentenceAreViolations() {
    Page page = Live.reglet().page();
    page.navigate("/keys");
    page.evaluate(
        "() => document.querySelector('main').insertAdjacentHTML('beforeend',"
            + " '<img src=\"/reglet.svg\"><p class=\"faint\">Faint</p>')");
    page.evaluate(
        "() => Object.assign(document.querySelector('p.faint').style, { color: '#ddd', background: '#fff' })");
    assertThat(Live.violations(page))
        .anyMatch(v -> v.startsWith("image-alt"))
        .anyMatch(v -> v.startsWith("color-contrast"))
        .hasSize(2);
  }

  @Test
  public void theDemoHasOneFindingInPages() {
    Page page = Live.reglet().page();
    page.navigate("/titles");
    assertThat(
            page.locator("tr", new Page.LocatorOptions().setHasText("Knots for Slow Water"))
                .locator(".tally"))
        .hasText("1 to mend");
    assertThat(
            page.locator("tr", new Page.LocatorOptions().setHasText("The Salt Ledger"))
                .locator(".tally"))
        .hasText("nothing to mend");
    page.navigate("/editions/2/docket");
    assertThat(page.locator(".notes-list")).containsText("multiple of 8");
  }

  private static HttpResponse<String> send(HttpRequest.Builder request) throws Exception {
    return HTTP.send(request.build(), HttpResponse.BodyHandlers.ofString());
  }

  private static HttpRequest.Builder to(String path) {
    return HttpRequest.newBuilder(URI.create(Live.reglet().address() + path));
  }

  @DataProvider
  Object[][] bad() {
    return new Object[][] {
      // method, path, form, status
      {"GET", "/editions/99999/docket", "", 404},
      {"GET", "/editions/abc/docket", "", 404},
      {"GET", "/editions/99999/bench", "", 404},
      {"GET", "/editions/99999/press-file", "", 404},
      {"GET", "/houses/none", "", 404},
      {"GET", "/houses/osier-row?v=99", "", 404},
      {"GET", "/houses/osier-row?v=x", "", 400},
      {"GET", "/houses/drafts/99999", "", 404},
      {"GET", "/houses/drafts/x", "", 404},
      {"POST", "/houses/none/copy", "", 404},
      {"POST", "/houses/osier-row/edit", "", 400},
      {"POST", "/houses/import", "", 400},
      {"POST", "/houses/drafts/99999/publish", "", 404},
      {"POST", "/houses/drafts/99999", "version=0", 404},
      {"GET", "/editions/99999/what-if", "", 404},
      {"GET", "/editions/1/what-if/at?pages=x", "", 400},
      {"POST", "/editions/1/what-if", "pages=-4", 400},
      {"GET", "/editions/1/revisions/99/sheet", "", 404},
      {"GET", "/editions/1/revisions/x/sheet", "", 404},
      {"GET", "/editions/1/compare?first=x&second=1", "", 400},
      {"GET", "/editions/1/compare", "", 400},
      {"POST", "/editions/1/versions", "", 400},
      {"POST", "/editions/1/versions/back", "base=x&number=1", 400},
      {"POST", "/editions/1/docket/undo", "", 400},
      {"POST", "/editions/1/docket/undo", "version=9.9", 409},
      {"POST", "/editions/1/bench/template", "", 400},
      {"POST", "/editions/1/bench/edits", "base=2&edit=paste&from=x&piece=title", 400},
      {"POST", "/editions/1/bench/edits", "base=2&edit=paste&from=99999&piece=title", 404},
      {"POST", "/editions/1/bench/edits", "base=2&edit=paste&from=2&piece=none", 400},
      {"POST", "/editions/1/bench/edits", "base=2&edit=stretch&piece=title&right=x", 400},
      {"POST", "/editions/1/bench/edits", "base=2&edit=turn&piece=title&angle=720.5", 400},
      {"POST", "/editions/1/bench/edits", "base=2&edit=group&piece=", 400},
      {"POST", "/editions/1/bench/edits", "base=2&side=inside&edit=ground&colour=white", 400},
      {"GET", "/pictures/" + "0".repeat(64) + "/preview?page=1", "", 404},
      {"GET", "/pictures/" + "0".repeat(64) + "/preview?page=x", "", 400},
      {"GET", "/editions/99999/side-by-side", "", 404},
      {"POST", "/editions/1/side-by-side", "house=none&binding=ebook", 400},
      {"GET", "/editions/1/carry?house=none&binding=ebook", "", 400},
      {"GET", "/editions/99999/carry?house=none&binding=ebook", "", 404},
      {"POST", "/editions/1/carry", "house=none&binding=ebook", 400},
      {"POST", "/editions/1/carry", "house=osier-row&binding=flapped&onto=99999", 404},
      {"POST", "/editions/1/carried/title/back", "base=2", 400},
      {"POST", "/editions/1/carried/take", "base=2&key=title/colour", 400},
      {"POST", "/editions/1/carried/take", "base=1&key=title/colour", 409},
      {"POST", "/editions/1/carried/take", "base=2&key=nothing&act=never", 400},
      {"POST", "/editions/1/carried/title/back", "base=1", 409},
      {"POST", "/editions/1/carried/accept", "", 400},
      {"POST", "/editions/1/carried/accept", "piece=nothing&act=no", 400},
      {"POST", "/editions/1/carried/spread", "to=none", 400},
      {"POST", "/editions/99999/carried/spread", "", 404},
      {"GET", "/editions/99999/changed", "", 404},
      {"GET", "/editions/1/changed/sheet", "", 400},
      {"GET", "/editions/99999/docket/others", "", 404},
      {"POST", "/editions/1/docket/others", "other=none", 400},
      {"GET", "/editions/99999/recut", "", 404},
      {"GET", "/editions/1/recut/sheet?file=none", "", 400},
      {"POST", "/editions/1/recut", "base=2", 400},
      {"POST", "/editions/1/recut", "base=2&file=none&page=x", 400},
      {"GET", "/editions/99999/package", "", 404},
      {"POST", "/titles/package", "", 400},
      {"POST", "/editions/1/side-by-side", "house=osier-row", 400},
      {"GET", "/editions/1/templates/exe", "", 404},
      {"GET", "/editions/1/templates/png?ppi=0", "", 400},
      {"GET", "/editions/1/templates/png?ppi=99999", "", 400},
      {"GET", "/editions/1/templates/png?ppi=seven", "", 400},
      {"POST", "/editions/1/docket/block", "", 400},
      {"POST", "/editions/1/docket/pages", "pages=0", 400},
      {"POST", "/editions/99999/docket/newer-sheet", "", 404},
      {"GET", "/pictures/zz/preview", "", 404},
      {"GET", "/pictures/" + "0".repeat(64) + "/preview", "", 404},
      {"GET", "/nowhere", "", 404},
      {"POST", "/editions/1/bench/edits", "edit=layout&base=x&layout=axis", 400},
      {"POST", "/editions/1/bench/edits", "edit=layout&base=999&layout=axis", 409},
      {"POST", "/editions/1/bench/edits", "edit=layout&base=2&layout=zigzag", 400},
      {"POST", "/editions/1/bench/edits", "edit=layout&layout=axis", 400},
      {"POST", "/editions/1/bench/edits", "edit=remove&piece=none&base=2", 400},
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=place&piece=title&from=sheet&base=2&left=1&top=1&width=-4&height=2",
        400
      },
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=place&piece=title&from=sheet&base=2&left=900&top=1&width=4&height=2",
        400
      },
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=place&piece=title&from=sheet&base=2&left=a&top=b&width=c&height=d",
        400
      },
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=hang&piece=title&base=2&region=moon&across=START&holdDown=START",
        400
      },
      {"POST", "/editions/1/bench/edits", "base=2", 400},
      {"POST", "/editions/1/bench/edits", "edit=fly&base=2", 400},
      {"POST", "/editions/1/bench/edits", "edit=move&piece=title&base=2&right=1e99&down=0", 400},
      {"POST", "/editions/1/bench/edits", "edit=group&piece=title&base=2", 400},
      {"POST", "/editions/1/bench/edits", "edit=turn&piece=title&base=2&angle=NaN", 400},
      {"POST", "/editions/1/bench/edits", "edit=swatch&name=(&colour=%23fff&base=2", 400},
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=set&piece=title&base=2&source=title&face=none&size=9&colour=%23000000&align=LEFT&vertical=TOP&direction=LEVEL&leading=1&tracking=0",
        400
      },
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=set&piece=title&base=2&source=title&face=cinzel&size=9&colour=red&align=LEFT&vertical=TOP&direction=LEVEL&leading=NaN&tracking=0",
        400
      },
      {
        "POST",
        "/editions/1/bench/edits",
        "edit=ground&base=2&colour=%23ffffff&focusX=9&focusY=0",
        400
      },
      {"POST", "/editions/1/bench/edits", "edit=add&base=2&what=moon:title", 400},
      {"POST", "/editions/1/bench/edits", "edit=mend&base=2&code=none&choice=-1", 400},
      {"POST", "/editions/1/bench/picture", "base=2", 400},
      {"POST", "/editions/1/docket", "version=99.99", 409},
      {"POST", "/editions/1/docket/remedy", "code=x&choice=7", 400},
      {"POST", "/inspect", "", 400},
      {"DELETE", "/titles", "", 405},
    };
  }

  @Test(dataProvider = "bad")
  public void badRequestsGetASentence(String method, String path, String form, int status)
      throws Exception {
    HttpResponse<String> r =
        send(
            to(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .method(method, HttpRequest.BodyPublishers.ofString(form)));
    assertThat(r.statusCode()).as(r.body()).isEqualTo(status);
    assertThat(r.body())
        .containsPattern("class=\"sentence\">[^<]{10,}[.]<")
        .doesNotContain("Exception")
        .doesNotContain("\tat ");
  }

  @Test
  public void anotherSiteCanNotChangeAnything() throws Exception {
    HttpResponse<String> r =
        send(
            to("/titles")
                .header("Sec-Fetch-Site", "cross-site")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("title=Theirs")));
    assertThat(r.statusCode()).isEqualTo(403);
    r =
        send(
            to("/titles")
                .header("Origin", "http://elsewhere.example")
                .POST(HttpRequest.BodyPublishers.ofString("title=Theirs")));
    assertThat(r.statusCode()).isEqualTo(403);
  }

  /** Another port or another name of the same machine is the same site, and not this Reglet. */
  @Test
  public void thePagesOfTheSameSiteButAnotherOriginCanNotChangeAnythingEither() throws Exception {
    URI here = URI.create(Live.reglet().address());
    String[][] from = {
      {"Sec-Fetch-Site", "same-site"},
      {"Origin", "http://" + here.getHost() + ":1"},
      {"Origin", "http://reglet.localhost:" + here.getPort()},
      {"Origin", "null"},
      {"Origin", "not an origin"}
    };
    for (String[] header : from) {
      assertThat(
              send(to("/titles")
                      .header(header[0], header[1])
                      .header("Content-Type", "application/x-www-form-urlencoded")
                      .POST(HttpRequest.BodyPublishers.ofString("title=Theirs")))
                  .statusCode())
          .as(String.join(" ", header))
          .isEqualTo(403);
    }
    assertThat(
            send(to("/titles")
                    .header("Sec-Fetch-Site", "same-origin")
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString("title=From here")))
                .statusCode())
        .isBetween(200, 303);
  }

  @Test
  public void theUnitFormLeadsNowhereElse() throws Exception {
    HttpResponse<String> r =
        send(
            to("/unit")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("unit=mm&back=//elsewhere.example/")));
    assertThat(r.headers().firstValue("Location").orElse(""))
        .endsWith("/titles")
        .doesNotContain("elsewhere");
  }

  @Test(groups = Extent.LONG)
  public void thePressFileIsTheSameEachTime() throws Exception {
    HttpClient client = HttpClient.newHttpClient();
    HttpRequest request = to("/editions/1/press-file").build();
    byte[] once = client.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
    byte[] again = client.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
    assertThat(once.length).isGreaterThan(100_000);
    assertThat(again).isEqualTo(once);
  }
}
