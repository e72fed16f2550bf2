package app.reglet.web.jobs;

import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Has jobs made, two at once, in the order they came. What is to be made stands in the jobs' own
 * table: what a stop left undone is begun again at the next start.
 */
@Component
@ConditionalOnWebApplication
class JobDesk implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(JobDesk.class);
  private static final int AT_ONCE = 2;
  private static final int AGAIN_SECONDS = 2;
  private static final int ENDING_SECONDS = 5;

  private final Jobs jobs;
  private ScheduledThreadPoolExecutor threads;

  JobDesk(Jobs jobs) {
    this.jobs = jobs;
  }

  @Override
  public void start() {
    jobs.begin();
    threads = new ScheduledThreadPoolExecutor(AT_ONCE);
    // one process holds the data: what is open now was left by one that ended
    jobs.left().forEach(j -> make(j.getId()));
  }

  @EventListener
  void ordered(Jobs.Ordered job) {
    make(job.id());
  }

  private void make(Long id) {
    threads.execute(
        () -> {
          try {
            jobs.make(id);
          } catch (RuntimeException e) {
            // what could not even be begun, the database being out of reach, is tried again
            LOG.warn("a file could not be begun and is tried again", e);
            again(id);
          }
        });
  }

  private void again(Long id) {
    try {
      threads.schedule(() -> make(id), AGAIN_SECONDS, TimeUnit.SECONDS);
    } catch (RejectedExecutionException stopping) {
      LOG.info("Reglet is being stopped; the file is begun again at the next start");
    }
  }

  @Override
  public void stop() {
    jobs.stop();
    threads.getQueue().clear(); // they stand in their table
    threads.shutdown();
    try {
      if (!threads.awaitTermination(ENDING_SECONDS, TimeUnit.SECONDS)) {
        threads.shutdownNow();
      }
    } catch (InterruptedException e) {
      threads.shutdownNow();
      Thread.currentThread().interrupt();
    }
    threads = null;
  }

  @Override
  public boolean isRunning() {
    return threads != null;
  }

  /** After everything is there, before the first page is answered. */
  @Override
  public int getPhase() {
    return 1;
  }
}
