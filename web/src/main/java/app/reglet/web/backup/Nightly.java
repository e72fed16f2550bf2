package app.reglet.web.backup;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Sees once an hour that there is a backup of the day. */
@Component
@ConditionalOnWebApplication
class Nightly implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Nightly.class);

  private final Backups backups;
  private final boolean on;
  private final ScheduledExecutorService clockwork =
      Executors.newSingleThreadScheduledExecutor(
          r -> {
            Thread t = new Thread(r, "nightly-backup");
            t.setDaemon(true);
            return t;
          });

  Nightly(Backups backups, @Value("${reglet.backup:on}") String switched) {
    this.backups = backups;
    this.on = !switched.equalsIgnoreCase("off");
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (on) {
      clockwork.scheduleWithFixedDelay(this::run, 10, 60, TimeUnit.MINUTES);
    }
  }

  /** Makes one when there is none of the day; whatever fails is tried again in an hour. */
  void run() {
    try {
      backups.nightly();
    } catch (Throwable e) { // what is thrown out of here would end the clockwork, unseen
      LOG.error("the nightly backup could not be made: {}", String.valueOf(e.getMessage()), e);
    }
  }

  @Override
  public void destroy() {
    clockwork.shutdownNow();
  }
}
