package app.reglet.web.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.measure.Unit;
import app.reglet.press.raster.ArtworkRaster;
import app.reglet.testing.Extent;
import app.reglet.testing.Scratch;
import app.reglet.web.Own;
import app.reglet.web.control.Control;
import app.reglet.web.harness.Web;
import app.reglet.web.people.People;
import app.reglet.web.people.Role;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Database;
import app.reglet.web.store.Room;
import app.reglet.web.store.StartTrouble;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** A backup holds everything, as it was at one moment, and brings it back. */
public class BackupTest {
  /**
   * Every cover as pixels, by edition and revision; those of the first five where not all are asked
   * for.
   */
  private static Map<String, int[]> covers(Own reglet) {
    Map<String, int[]> all = new LinkedHashMap<>();
    Covers covers = reglet.bean(Covers.class);
    for (EditionEntity e : reglet.bean(Editions.class).findAllByOrderByIdAsc()) {
      if (!Extent.whole() && e.getId() > 5) {
        break;
      }
      covers
          .of(e, Unit.MM)
          .art()
          .ifPresent(
              art -> {
                BufferedImage image =
                    ArtworkRaster.render(art, covers.sheet(e).isInPixels() ? 24 : 30);
                all.put(
                    e.getId() + " r" + e.getRevision(),
                    ((DataBufferInt) image.getRaster().getDataBuffer()).getData());
              });
    }
    return all;
  }

  private static void same(Map<String, int[]> before, Map<String, int[]> after) {
    assertThat(after.keySet()).isEqualTo(before.keySet());
    before.forEach((k, v) -> assertThat(Arrays.equals(v, after.get(k))).as(k).isTrue());
  }

  private static byte[] picture(int seed) throws Exception {
    BufferedImage image = new BufferedImage(200, 150, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < 150; y++) {
      for (int x = 0; x < 200; x++) {
        image.setRGB(x, y, (x * seed * 13) << 8 ^ y * 7 * seed);
      }
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static void bring(Web web, int edition, int seed) throws Exception {
    String base =
        web.get("/editions/" + edition + "/bench")
            .find("id=\"base\" name=\"base\" value=\"(\\d+)\"");
    assertThat(
            web.upload(
                    "/editions/" + edition + "/bench/picture",
                    Map.of("base", base),
                    "picture",
                    "sea.png",
                    picture(seed))
                .status())
        .isEqualTo(200);
  }

  @Test(groups = Extent.LONG)
  public void everyCoverComesBackPixelForPixel() throws Exception {
    Path zip = Scratch.directory("backup").resolve("reglet.zip");
    Map<String, int[]> before;
    Path data;
    try (Own reglet = new Own("--reglet.demo=true")) {
      data = reglet.data();
      for (int e = 2; e <= 5; e++) {
        bring(reglet.web(), e, e);
      }
      before = covers(reglet);
      assertThat(before).hasSizeGreaterThan(4);
      // while it runs, through the running one
      Control.order(data, List.of("backup", zip.toString()));
      assertThat(zip).exists();
      assertThatThrownBy(() -> Restore.restore(zip, data))
          .isInstanceOf(StartTrouble.class)
          .hasMessageContaining("already running");
      // what comes after the backup is not in it
      bring(reglet.web(), 2, 99);
    }
    Path elsewhere = Scratch.directory("elsewhere").resolve("data");
    assertThat(Restore.restore(zip, elsewhere)).contains("with 8 pictures", "nothing before");
    try (Own reglet = new Own(elsewhere)) {
      same(before, covers(reglet));
      assertThat(reglet.web().get("/editions/2/history").body()).contains("Ground&#39;s picture");
    }
    // over what is there: that is put aside, whole
    assertThat(Restore.restore(zip, data)).contains("before-restore-");
    try (Own reglet = new Own(data)) {
      same(before, covers(reglet));
    }
    try (var list = Files.list(data)) {
      Path aside =
          list.filter(p -> p.getFileName().toString().startsWith("before-restore-"))
              .findFirst()
              .orElseThrow();
      assertThat(aside.resolve("reglet.mv.db")).exists();
      assertThat(aside.resolve("pictures")).isDirectory();
    }
  }

  @Test(groups = Extent.LONG)
  public void aBackupMadeWhileOthersWriteIsOneMoment() throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      bring(reglet.web(), 3, 0);
      AtomicBoolean over = new AtomicBoolean();
      Thread busy =
          new Thread(
              () -> {
                try {
                  for (int n = 1; !over.get(); n++) {
                    bring(reglet.web(), 3, n);
                  }
                } catch (Exception | AssertionError e) {
                  throw new IllegalStateException(e);
                }
              });
      busy.start();
      Path dir = Scratch.directory("busy");
      for (int i = 0; i < 3; i++) {
        reglet.bean(Backups.class).write(dir.resolve(i + ".zip"));
      }
      over.set(true);
      busy.join();
      for (int i = 0; i < 3; i++) {
        Path elsewhere = dir.resolve("data" + i);
        Restore.restore(dir.resolve(i + ".zip"), elsewhere);
        try (Own other = new Own(elsewhere)) {
          // every picture a design names is there, or the cover would be drawn without it
          EditionEntity e = other.bean(Editions.class).findById(3L).orElseThrow();
          var cover = other.bean(Covers.class).of(e, Unit.MM);
          assertThat(cover.design().outside().ground().hasPicture()).isTrue();
          assertThat(cover.art().orElseThrow().absent()).isEmpty();
        }
      }
    }
  }

  @Test(groups = Extent.LONG)
  public void theNightlyOneIsKeptSevenDaysAndSharesItsPictures() throws Exception {
    try (Own reglet = new Own("--reglet.demo=true")) {
      DataDirectory data = reglet.bean(DataDirectory.class);
      Instant[] now = {Instant.parse("2026-03-01T03:00:00Z")};
      Clock clock = ((InstantSource) () -> now[0]).withZone(ZoneOffset.UTC);
      Backups nightly =
          new Backups(
              data,
              reglet.bean(Database.class),
              reglet.bean(Room.class),
              reglet.bean(Uploads.class),
              clock);
      for (int day = 0; day < 10; day++) {
        assertThat(nightly.nightly()).isTrue();
        assertThat(nightly.nightly()).as("one a day").isFalse();
        now[0] = now[0].plusSeconds(24 * 3600);
      }
      assertThat(nightly.nights())
          .extracting(Backups.Night::night)
          .containsExactly(
              "2026-03-10",
              "2026-03-09",
              "2026-03-08",
              "2026-03-07",
              "2026-03-06",
              "2026-03-05",
              "2026-03-04");
      Path night = nightly.nights().get(0).path();
      try (var walk = Files.walk(night.resolve("pictures"))) {
        Path shared = walk.filter(Files::isRegularFile).findFirst().orElseThrow();
        assertThat((int) Files.getAttribute(shared, "unix:nlink")).isGreaterThan(7);
      }
      Map<String, int[]> before = covers(reglet);
      Path elsewhere = Scratch.directory("night").resolve("data");
      Restore.restore(night, elsewhere);
      try (Own other = new Own(elsewhere)) {
        same(before, covers(other));
      }
      assertThat(reglet.web().get("/backup").body()).contains("2026-03-10", "2026-03-04");
    }
  }

  @Test
  public void whatIsNoBackupIsRefusedAndChangesNothing() throws Exception {
    Path dir = Scratch.directory("bad");
    Path good = dir.resolve("good.zip");
    Path data;
    try (Own reglet = new Own("--reglet.demo=true")) {
      data = reglet.data();
      reglet.bean(Backups.class).write(good);
      assertThatThrownBy(() -> reglet.bean(Backups.class).write(dir))
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("is a directory");
      assertThatThrownBy(() -> reglet.bean(Backups.class).write(Path.of("/proc/no/such/place.zip")))
          .isInstanceOf(Refusal.class);
    }
    byte[] whole = Files.readAllBytes(data.resolve("reglet.mv.db"));
    Path text = Files.write(dir.resolve("text.zip"), "no ZIP".getBytes());
    Path cut = Files.write(dir.resolve("cut.zip"), Arrays.copyOf(Files.readAllBytes(good), 5000));
    Path slip = spoiled(good, dir.resolve("slip.zip"), "backup.json", new byte[0], true);
    Path newer =
        spoiled(
            good,
            dir.resolve("newer.zip"),
            "backup.json",
            "{\"format\":\"reglet-backup/1\",\"reglet\":\"9\",\"schema\":99,\"made\":\"x\",\"pictures\":0}"
                .getBytes(),
            false);
    Path damaged = spoiled(good, dir.resolve("damaged.zip"), "reglet.mv.db", new byte[9000], false);
    Path outside =
        spoiled(good, dir.resolve("outside.zip"), "../../outside", new byte[] {1}, false);
    Path missing = spoiled(good, dir.resolve("missing.zip"), aPicture(good), new byte[0], true);
    for (Path bad :
        List.of(text, cut, slip, newer, damaged, outside, missing, dir.resolve("none.zip"), dir)) {
      assertThatThrownBy(() -> Restore.restore(bad, data))
          .as(bad.toString())
          .isInstanceOf(Refusal.class)
          .hasMessageMatching("(?s).*(not changed|There is no file).*");
      assertThat(Files.readAllBytes(data.resolve("reglet.mv.db"))).isEqualTo(whole);
    }
    assertThat(data.resolve("restoring")).doesNotExist();
  }

  private static String aPicture(Path zip) throws Exception {
    try (ZipFile in = new ZipFile(zip.toFile())) {
      return in.stream()
          .map(ZipEntry::getName)
          .filter(n -> n.startsWith("pictures/"))
          .findFirst()
          .orElseThrow();
    }
  }

  /** The same ZIP with one entry other, or left out. */
  private static Path spoiled(Path good, Path to, String name, byte[] other, boolean leaveOut)
      throws Exception {
    try (ZipFile in = new ZipFile(good.toFile());
        ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(to))) {
      for (ZipEntry e : (Iterable<ZipEntry>) () -> in.stream().map(x -> (ZipEntry) x).iterator()) {
        if (!e.getName().equals(name)) {
          out.putNextEntry(new ZipEntry(e.getName()));
          in.getInputStream(e).transferTo(out);
        }
      }
      if (!leaveOut) {
        out.putNextEntry(new ZipEntry(name));
        out.write(other);
      }
    }
    return to;
  }

  @Test
  public void theCommandLineWorksWhileRegletRunsAndWhileItDoesNot() throws Exception {
    Path dir = Scratch.directory("orders");
    Path data;
    try (Own reglet = new Own("--reglet.demo=true")) {
      data = reglet.data();
      var made = Control.order(data, List.of("people", "add", "Maren Aldous", "owner", ""));
      assertThat(made.code()).isZero();
      assertThat(made.text())
          .contains("Set up as owner: Maren Aldous", "From now on everybody signs in");
      assertThat(reglet.web().get("/titles").location()).endsWith("/sign-in");
      String password = made.text().replaceAll("(?s).*password is ([a-z0-9-]+) .*", "$1");
      assertThat(reglet.web().signIn("maren aldous", password).location()).doesNotContain("failed");
      assertThat(Control.order(data, List.of("people", "add", "Oona", "queen", "")).text())
          .contains("is no role");
      assertThat(Control.order(data, List.of("people", "reset", "Nobody", "")).text())
          .contains("nobody called “Nobody”", "Maren Aldous");
    }
    var added = Control.order(data, List.of("people", "add", "Oona", "reader", "oona-password-1"));
    assertThat(added.code()).isZero();
    assertThat(Control.order(data, List.of("people", "list")).text())
        .contains("owner\tMaren Aldous", "reader\tOona");
    assertThat(Control.order(data, List.of("backup", dir.resolve("still.zip").toString())).code())
        .isZero();
    assertThat(dir.resolve("still.zip")).exists();
    try (Own reglet = new Own(data)) {
      assertThat(reglet.bean(People.class).named("oona").getRole()).isEqualTo(Role.READER);
    }
  }
}
