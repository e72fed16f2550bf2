package app.reglet.web.control;

import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Takes orders from the command line of whoever owns the data directory. */
@RestController
@ConditionalOnWebApplication
class ControlController {
  static final String TOKEN = "Reglet-Token";

  private final Running running;
  private final Orders orders;

  ControlController(Running running, Orders orders) {
    this.running = running;
    this.orders = orders;
  }

  @PostMapping(path = "/control/orders", consumes = "application/json")
  ResponseEntity<Orders.Told> order(
      @RequestHeader(name = TOKEN, required = false) String token,
      @RequestBody List<String> words) {
    if (!running.isToken(token)) {
      return ResponseEntity.status(HttpStatus.FORBIDDEN).build();
    }
    return ResponseEntity.ok(orders.run(words));
  }
}
