package app.reglet.web.backup;

import app.reglet.web.shell.Downloads;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Database;
import app.reglet.web.store.Room;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** The place Backup, for owners: the nightly ones, and one to take away. */
@Controller
@RequestMapping("/backup")
public class BackupController {
  private final Backups backups;
  private final DataDirectory data;
  private final Database database;
  private final Room room;
  private final Clock clock;
  private final boolean nightly;

  BackupController(
      Backups backups,
      DataDirectory data,
      Database database,
      Room room,
      Clock clock,
      @Value("${reglet.backup:on}") String switched) {
    this.backups = backups;
    this.data = data;
    this.database = database;
    this.room = room;
    this.clock = clock;
    this.nightly = !switched.equalsIgnoreCase("off");
  }

  @GetMapping
  String page(Model model) {
    model.addAttribute("nights", backups.nights());
    model.addAttribute("nightly", nightly);
    model.addAttribute("directory", data.root());
    model.addAttribute("size", String.format(Locale.ROOT, "%.1f MB", database.size() / 1e6));
    long left = room.left();
    model.addAttribute(
        "left",
        left == Room.UNKNOWN
            ? "not known: this disk does not tell"
            : String.format(Locale.ROOT, "%.1f GB", left / 1e9));
    return "backup";
  }

  /** Makes a backup and sends it. */
  @PostMapping
  void take(HttpServletResponse response) throws IOException {
    room.need(2 * database.size());
    LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    Downloads.begin(
        response, "reglet-" + today + ".zip", MediaType.parseMediaType("application/zip"));
    backups.write(response.getOutputStream());
  }
}
