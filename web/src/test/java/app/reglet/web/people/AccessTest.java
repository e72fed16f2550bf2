package app.reglet.web.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.testing.Extent;
import app.reglet.testing.Patience;
import app.reglet.testing.Scratch;
import app.reglet.web.Own;
import app.reglet.web.Reglet;
import app.reglet.web.harness.RawHttp;
import app.reglet.web.harness.Subject;
import app.reglet.web.harness.Web;
import app.reglet.web.harness.Web.Answer;
import app.reglet.web.store.StartTrouble;
import java.io.IOException;
import java.net.ConnectException;
import java.net.Socket;
import java.net.URI;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import javax.sql.DataSource;
import org.springframework.security.crypto.bcrypt.BCrypt;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Who may ask for what: names, sign-in, sessions, roles. */
public class AccessTest {
  private static final String OWNER = "owner-password-1";
  private static final String DESIGNER = "designer-password-1";
  private static final String READER = "reader-password-1";

  private Own reglet;

  @BeforeClass
  public void start() throws Exception {
    reglet = new Own("--reglet.demo=true");
    People people = reglet.bean(People.class);
    people.add("Maren", Role.OWNER, OWNER);
    people.add("Piers", Role.DESIGNER, DESIGNER);
    people.add("Oona", Role.READER, READER);
  }

  @AfterClass(alwaysRun = true)
  public void stop() {
    reglet.close();
  }

  private Web signedIn(String name, String password) throws IOException {
    Web web = reglet.web();
    Answer in = web.signIn(name, password);
    assertThat(in.status()).isEqualTo(302);
    assertThat(in.location()).doesNotContain("failed");
    return web;
  }

  /**
   * Everything in the database, but for what signing in and out changes, and the numbers of files
   * that were made: a reader may make them.
   */
  private String everything() throws Exception {
    StringBuilder out = new StringBuilder();
    try (Connection c = reglet.bean(DataSource.class).getConnection();
        Statement s = c.createStatement();
        ResultSet r = s.executeQuery("script nopasswords nosettings")) {
      while (r.next()) {
        String statement = r.getString(1);
        // files that are made of a cover are none of it
        if (!statement.matches("(?s).*(MADE_FILE|\"JOB\"|PUBLIC\\.JOB;|SCHEDULED_TASKS).*")) {
          out.append(statement).append('\n');
        }
      }
    }
    return out.toString();
  }

  /** Every address that takes something, as the application itself lists them. */
  private List<String> writing() {
    List<String> all = new ArrayList<>();
    RequestMappingHandlerMapping mapping = reglet.bean(RequestMappingHandlerMapping.class);
    for (RequestMappingInfo info : mapping.getHandlerMethods().keySet()) {
      if (info.getMethodsCondition().getMethods().contains(RequestMethod.POST)) {
        info.getPatternValues().forEach(all::add);
      }
    }
    assertThat(all).hasSizeGreaterThan(30);
    return all;
  }

  private static String address(String pattern) {
    return pattern
        .replace("{id}", pattern.startsWith("/houses/{id}") ? "osier-row" : "1")
        .replace("{sha}", "0".repeat(64))
        .replace("{piece}", "title")
        .replace("{look}", "1");
  }

  private static final List<String> LOOKING =
      List.of(
          "/inspect",
          "/unit",
          "/account/password",
          "/account/sign-out-everywhere",
          "/editions/{id}/docket/block",
          "/editions/{id}/dispatch");

  @Test
  public void aReaderCanChangeNothingByAnyRequest() throws Exception {
    Web reader = signedIn("Oona", READER);
    Web owner = signedIn("Maren", OWNER);
    String base = owner.get("/editions/1/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    String version = owner.get("/editions/1/docket").find("name=\"version\" value=\"([\\d.]+)\"");
    Map<String, String> everyField = new LinkedHashMap<>();
    for (String f :
        "edit title author trim pages house binding stock ink turn layout colour what name source text face size align stand leading tracking width height left top region across down by code choice piece way role old password unit back"
            .split(" ")) {
      everyField.put(f, "1");
    }
    everyField.put("base", base);
    everyField.put("version", version);
    String before = everything();
    for (String pattern : writing()) {
      if (pattern.startsWith("/control/") || LOOKING.contains(pattern)) {
        continue;
      }
      for (boolean htmx : new boolean[] {true, false}) {
        Answer a = reader.post(address(pattern), new ArrayList<>(everyField.entrySet()), htmx);
        assertThat(a.status()).as(pattern).isEqualTo(403);
        assertThat(a.body()).as(pattern).contains("You may look at this but not change it");
      }
      Answer upload =
          reader.upload(address(pattern), everyField, "picture", "x.png", new byte[] {1, 2, 3});
      assertThat(upload.status()).as(pattern).isEqualTo(403);
    }
    for (String method : List.of("PUT", "DELETE", "PATCH")) {
      assertThat(
              RawHttp.send(reglet.address(), method, "/editions/1/docket", Map.of(), new byte[0])
                  .status())
          .isGreaterThanOrEqualTo(400);
    }
    // what only looks is answered, and changes nothing either
    assertThat(reader.upload("/inspect", Map.of(), "file", "x.pdf", "no".getBytes()).status())
        .isEqualTo(200);
    assertThat(reader.post("/editions/1/dispatch", Map.of()).status()).isEqualTo(200);
    for (String page :
        List.of(
            "/titles",
            "/houses",
            "/houses/osier-row",
            "/inspect",
            "/editions/1/docket",
            "/editions/1/bench",
            "/editions/1/bench?chosen=title",
            "/editions/1/dispatch",
            "/editions/1/what-if",
            "/editions/1/side-by-side",
            "/editions/1/templates",
            "/editions/1/history",
            "/editions/1/press-file",
            "/account")) {
      assertThat(reader.get(page).status()).as(page).isEqualTo(200);
    }
    for (String page : List.of("/people", "/backup", "/houses/drafts/1")) {
      assertThat(reader.get(page).status()).as(page).isEqualTo(403);
    }
    assertThat(everything()).isEqualTo(before);
  }

  @Test
  public void aDesignerMakesCoversButLeavesHousesAndPeopleAlone() throws Exception {
    Web designer = signedIn("Piers", DESIGNER);
    String base =
        designer.get("/editions/2/bench").find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    assertThat(
            designer
                .post(
                    "/editions/2/bench/edits",
                    Map.of("edit", "layout", "base", base, "layout", "axis"))
                .status())
        .isEqualTo(200);
    assertThat(designer.get("/editions/2/history").body()).contains("Layout", "<td>Piers</td>");
    for (String path :
        List.of("/houses/new", "/houses/osier-row/copy", "/people", "/people/1/reset", "/backup")) {
      assertThat(designer.post(path, Map.of()).status()).as(path).isEqualTo(403);
    }
    Web owner = signedIn("Maren", OWNER);
    assertThat(owner.post("/houses/osier-row/copy", List.of(), false).status()).isEqualTo(302);
  }

  @Test
  public void withoutASessionNothingIsAnsweredButTheSignIn() throws Exception {
    Web nobody = reglet.web();
    for (String page :
        List.of(
            "/titles",
            "/editions/1/docket",
            "/houses",
            "/people",
            "/pictures/x/preview",
            "/editions/1/press-file",
            "/no-such-page")) {
      Answer a = nobody.get(page);
      assertThat(a.status()).as(page).isEqualTo(302);
      assertThat(a.location()).as(page).endsWith("/sign-in");
    }
    for (String pattern : writing()) {
      if (!pattern.startsWith("/control/")) {
        Answer a = nobody.post(address(pattern), Map.of("base", "2"));
        assertThat(a.status()).as(pattern).isEqualTo(401);
        assertThat(a.body()).contains("Not saved: you are signed out");
      }
    }
    assertThat(nobody.get("/health").status()).isEqualTo(200);
    assertThat(nobody.get("/health").body()).doesNotContain("Maren", "Salt");
    assertThat(nobody.post("/control/orders", Map.of()).status()).isIn(400, 403, 415);
    Answer forged =
        RawHttp.send(
            reglet.address(),
            "POST",
            "/control/orders",
            Map.of("Content-Type", "application/json", "Reglet-Token", "guessed"),
            "[\"people\",\"list\"]".getBytes());
    assertThat(forged.status()).isEqualTo(403);
  }

  @Test
  public void aChangeWithoutTheSessionsTokenIsRefused() throws Exception {
    Web web = signedIn("Piers", DESIGNER);
    Answer page = web.get("/editions/3/bench");
    String base = page.find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    Web other = web.withoutToken();
    Answer a =
        other.post(
            "/editions/3/bench/edits", Map.of("edit", "layout", "base", base, "layout", "axis"));
    assertThat(a.status()).isEqualTo(403);
    assertThat(a.body()).contains("This page is from an earlier session");
    // every form of every page carries one
    for (String at :
        List.of(
            "/titles",
            "/editions/3/docket",
            "/editions/3/bench",
            "/editions/3/what-if?pages=40",
            "/account")) {
      org.jsoup.nodes.Document d = org.jsoup.Jsoup.parse(web.get(at).body());
      assertThat(d.select("form[method=post]")).as(at).isNotEmpty();
      assertThat(d.select("form[method=post]"))
          .as(at)
          .allSatisfy(f -> assertThat(f.select("input[name=_csrf]")).hasSize(1));
      assertThat(d.select("meta[name=csrf]")).as(at).hasSize(1);
    }
  }

  @Test
  public void theSessionsCookieIsKeptFromScriptsAndOtherSites() throws Exception {
    Answer page = RawHttp.send(reglet.address(), "GET", "/sign-in", Map.of(), new byte[0]);
    assertThat(page.body())
        .containsPattern("Set-Cookie: reglet-session=[^\\r\\n]*HttpOnly")
        .containsPattern("Set-Cookie: reglet-session=[^\\r\\n]*SameSite=Lax")
        .doesNotContain("jsessionid");
  }

  @Test
  public void aSessionEndsWithItsPersonAndWithSigningOutEverywhere() throws Exception {
    People people = reglet.bean(People.class);
    Long id = people.add("Tam", Role.DESIGNER, "tam-password-123").person().getId();
    Web one = signedIn("Tam", "tam-password-123");
    Web two = signedIn("tam ", "tam-password-123");
    assertThat(one.get("/titles").status()).isEqualTo(200);
    people.signOutEverywhere(id);
    assertThat(one.get("/titles").location()).endsWith("/sign-in");
    assertThat(two.get("/titles").location()).endsWith("/sign-in");
    Web three = signedIn("Tam", "tam-password-123");
    people.setRole(id, Role.READER);
    assertThat(three.post("/titles", Map.of("title", "x")).status()).isEqualTo(403);
    people.reset(id, "another-password-1");
    assertThat(three.get("/titles").location()).endsWith("/sign-in");
    Web four = signedIn("Tam", "another-password-1");
    people.remove(id);
    assertThat(four.get("/titles").location()).endsWith("/sign-in");
    assertThat(reglet.web().signIn("Tam", "another-password-1").location()).contains("failed");
  }

  @Test
  public void signingOutEndsTheSession() throws Exception {
    Web web = signedIn("Piers", DESIGNER);
    assertThat(web.post("/sign-out", List.of(), false).location()).contains("/sign-in?out");
    assertThat(web.get("/titles").location()).endsWith("/sign-in");
  }

  @Test
  public void wrongTriesAreCountedAndHaveToWait() {
    Instant[] now = {Instant.parse("2026-03-01T10:00:00Z")};
    Tries tries = new Tries(((InstantSource) () -> now[0]).withZone(ZoneOffset.UTC));
    for (int i = 0; i < 5; i++) {
      assertThat(tries.wait("maren", "10.0.0.1")).isZero();
      tries.failed("maren", "10.0.0.1");
    }
    assertThat(tries.wait("maren", "10.0.0.1")).isEqualTo(Duration.ofSeconds(30));
    assertThat(tries.wait("maren", "10.0.0.2")).as("others are not locked out").isZero();
    now[0] = now[0].plusSeconds(30);
    assertThat(tries.wait("maren", "10.0.0.1")).isLessThanOrEqualTo(Duration.ZERO);
    tries.failed("maren", "10.0.0.1");
    assertThat(tries.wait("maren", "10.0.0.1")).isEqualTo(Duration.ofSeconds(60));
    for (int i = 0; i < 20; i++) {
      tries.failed("maren", "10.0.0.1");
    }
    assertThat(tries.wait("maren", "10.0.0.1")).isEqualTo(Duration.ofMinutes(15));
    for (int i = 0; i < 30; i++) {
      tries.failed("name" + i, "10.0.0.9");
    }
    assertThat(tries.wait("anybody", "10.0.0.9")).isPositive();
    tries.succeeded("maren", "10.0.0.1");
    now[0] = now[0].plus(Duration.ofHours(2));
    tries.failed("maren", "10.0.0.1");
    assertThat(tries.wait("maren", "10.0.0.1")).isZero();
  }

  @Test
  public void theSixthWrongPasswordIsNotEvenLookedAt() throws Exception {
    reglet.bean(People.class).add("Hesper", Role.DESIGNER, "hesper-password-1");
    for (int i = 0; i < 5; i++) {
      Web web = reglet.web();
      web.signIn("Hesper", "wrong " + i);
      assertThat(web.get("/sign-in?failed").body()).contains("Name or password is not right");
    }
    Web web = reglet.web();
    assertThat(web.signIn("Hesper", "hesper-password-1").location()).contains("failed");
    assertThat(web.get("/sign-in?failed").body())
        .containsPattern("Too many tries that were wrong: wait \\d+ seconds");
  }

  @Test
  public void passwordsAndNamesAreBounded() {
    People people = reglet.bean(People.class);
    assertThatThrownBy(() -> people.add("A", Role.READER, "short"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("at least 10 characters; this has 5");
    assertThatThrownBy(() -> people.add("A", Role.READER, "é".repeat(40)))
        .hasMessageContaining("at most 72 bytes; this has 80");
    assertThatThrownBy(() -> people.add(" ", Role.READER, "")).hasMessageContaining("1 to 80");
    assertThatThrownBy(() -> people.add(" MAREN", Role.READER, ""))
        .hasMessageContaining("is there already");
    assertThatThrownBy(() -> people.remove(people.named("Maren").getId()))
        .hasMessageContaining("is the only owner");
    assertThatThrownBy(() -> people.setRole(people.named("Maren").getId(), Role.READER))
        .hasMessageContaining("is the only owner");
    String made = people.add("Ilan", Role.READER, "").password();
    assertThat(made).matches("[a-z2-9]{5}(-[a-z2-9]{5}){3}");
    people.remove(people.named("ilan").getId());
  }

  @Test
  public void onlyKnownNamesAreAnswered() throws Exception {
    for (String host : List.of("localhost", "127.0.0.1", "[::1]", "LOCALHOST:8080")) {
      assertThat(
              RawHttp.send(reglet.address(), "GET", "/sign-in", Map.of("Host", host), new byte[0])
                  .status())
          .as(host)
          .isEqualTo(200);
    }
    for (String host :
        List.of(
            "elsewhere.example",
            "localhost.elsewhere.example",
            "127.0.0.1.elsewhere.example",
            "elsewhere.example:80",
            "10.0.0.1")) {
      for (String method : List.of("GET", "POST")) {
        Answer a =
            RawHttp.send(reglet.address(), method, "/titles", Map.of("Host", host), new byte[0]);
        assertThat(a.status()).as(host).isEqualTo(421);
        assertThat(a.body()).as(host).contains("REGLET_HOSTS").doesNotContain("Salt Ledger");
      }
    }
    Path data = Scratch.directory("hosts");
    try (Own named = new Own(data, "--reglet.hosts=reglet.press.example, desk")) {
      for (String host : List.of("reglet.press.example:8080", "desk", "localhost")) {
        assertThat(
                RawHttp.send(named.address(), "GET", "/titles", Map.of("Host", host), new byte[0])
                    .status())
            .isEqualTo(200);
      }
    }
  }

  @Test
  public void listeningBeyondThisMachineWithoutPeopleIsRefusedWithTheLineThatHelps()
      throws Exception {
    Path data = Scratch.directory("beyond");
    for (String address : Extent.of(1, List.of("0.0.0.0", "::"))) {
      assertThatThrownBy(() -> Reglet.start(data, "--server.port=0", "--server.address=" + address))
          .isInstanceOf(StartTrouble.class)
          .hasMessageContaining("./reglet people add NAME --role owner");
    }
    if (Extent.whole()) { // as a process; SavingTest has another that starts in vain
      try (Subject process = new Subject(data, Map.of("REGLET_ADDRESS", "0.0.0.0")).quick()) {
        assertThat(process.startInVain()).isEqualTo(2);
        assertThat(process.log()).contains("./reglet people add").doesNotContain("\tat ");
      }
    }
    try (Own own = new Own(data)) {
      own.bean(People.class).add("Maren", Role.OWNER, OWNER);
    }
    try (Own open = new Own(data, "--server.address=0.0.0.0")) {
      assertThat(open.web().get("/titles").location()).endsWith("/sign-in");
      People people = open.bean(People.class);
      assertThatThrownBy(() -> people.remove(people.named("Maren").getId()))
          .hasMessageContaining("Others can reach this Reglet");
    }
  }

  /** A blank address would make the web server listen everywhere, with nobody to sign in. */
  @Test
  public void aBlankAddressListensAtThisMachineAlone() throws Exception {
    try (Own own = new Own(Scratch.directory("blank"), "--server.address=")) {
      expectHereAlone(URI.create(own.address()).getPort());
      assertThat(own.web().get("/titles").status()).isEqualTo(200);
    }
    if (Extent.whole()) {
      try (Subject process =
          new Subject(Scratch.directory("blank"), Map.of("REGLET_ADDRESS", "")).quick().start()) {
        expectHereAlone(process.port());
      }
    }
  }

  /** 127.0.0.2 is answered by who listens everywhere, and not by who listens at 127.0.0.1. */
  private static void expectHereAlone(int port) {
    assertThatThrownBy(() -> new Socket("127.0.0.2", port).close())
        .isInstanceOf(ConnectException.class);
  }

  /** Else the time it takes to refuse would tell which names there are. */
  @Test
  public void aNameThatNobodyHasCostsWhatAPersonsCosts() {
    for (int cost : new int[] {4, 11}) {
      String kept = new BCryptPasswordEncoder(cost).encode(OWNER);
      String nobodys = People.nobodys(cost);
      assertThat(nobodys).hasSameSizeAs(kept).startsWith(kept.substring(0, 7));
      // bcrypt goes to work on it, and nothing comes of it
      assertThat(BCrypt.hashpw(OWNER, nobodys)).startsWith(nobodys.substring(0, 29));
      assertThat(BCrypt.checkpw(OWNER, nobodys)).isFalse();
    }
  }

  /** The second of two who take each other off at once waits for the first, and is refused. */
  @Test
  public void twoOwnersTakenOffAtOnceLeaveOne() throws Exception {
    try (Own own = new Own(Scratch.directory("owners"))) {
      People people = own.bean(People.class);
      people.add("Maren", Role.OWNER, OWNER);
      people.add("Ines", Role.OWNER, OWNER);
      people.add("Tove", Role.READER, READER); // else the last one may go too
      Long maren = people.named("Maren").getId();
      Long ines = people.named("Ines").getId();
      AtomicReference<Throwable> refused = new AtomicReference<>();
      Thread second =
          new Thread(
              () -> {
                try {
                  people.remove(ines);
                } catch (RuntimeException e) {
                  refused.set(e);
                }
              });
      new TransactionTemplate(own.bean(PlatformTransactionManager.class))
          .executeWithoutResult(
              t -> {
                people.remove(maren);
                second.start();
                Patience.until(
                    "the second is done, or waits for the first",
                    () ->
                        !second.isAlive()
                            || Arrays.stream(second.getStackTrace())
                                .anyMatch(f -> f.getMethodName().equals("everybodyAlone")));
              });
      second.join();
      assertThat(people.all()).extracting(PersonEntity::getName).containsExactly("Ines", "Tove");
      assertThat(refused.get()).hasMessageContaining("“Ines” is the only owner");
    }
  }

  @Test
  public void openToItsMachineNobodySignsIn() throws Exception {
    try (Own open = new Own()) {
      Web web = open.web();
      assertThat(web.get("/titles").status()).isEqualTo(200);
      Answer made = web.post("/titles", List.of(Map.entry("title", "Open")), false);
      assertThat(made.status()).isEqualTo(302);
      assertThat(RawHttp.send(open.address(), "GET", "/titles", Map.of(), new byte[0]).body())
          .doesNotContain("Set-Cookie", "_csrf");
      // the first owner, set up on the page, sees the password once; then everybody signs in
      Answer first =
          web.post(
              "/people", List.of(Map.entry("name", "Maren"), Map.entry("role", "owner")), false);
      String password = first.find("id=\"made-password\">([a-z2-9-]+)<");
      assertThat(web.get("/titles").location()).endsWith("/sign-in");
      assertThat(web.signIn("Maren", password).location()).doesNotContain("failed");
      assertThat(web.get("/people").body()).contains("Maren (you)").doesNotContain(password);
    }
  }
}
