package app.reglet.web.shell;

import app.reglet.web.store.Database;
import app.reglet.web.store.Room;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Says to scripts whether Reglet works: 200 when it does, 503 when it doesn't. */
@Controller
public class HealthController {
  private final Database database;
  private final Room room;

  HealthController(Database database, Room room) {
    this.database = database;
    this.room = room;
  }

  @GetMapping("/health")
  ResponseEntity<Map<String, Object>> health() {
    boolean reads = database.alive() || database.revive();
    long left = room.left();
    boolean saves = reads && left >= Room.KEPT_FREE;
    Map<String, Object> out = new LinkedHashMap<>();
    out.put("status", saves ? "up" : reads ? "reading only" : "down");
    out.put("version", Version.NUMBER);
    out.put("reads", reads);
    out.put("saves", saves);
    out.put("bytesFree", left == Room.UNKNOWN ? null : left);
    return ResponseEntity.status(saves ? 200 : 503).body(out);
  }
}
