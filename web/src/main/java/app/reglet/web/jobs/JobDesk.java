package app.reglet.web.jobs;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Duration;
import java.time.Instant;
import javax.sql.DataSource;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Has jobs made, two at once, by a job library on the same database: what a kill left undone is
 * begun again at the next start.
 */
@Component
@ConditionalOnWebApplication
class JobDesk implements SmartLifecycle {
  private static final int AT_ONCE = 2;
  private static final Duration AGAIN = Duration.ofSeconds(2);

  private final Jobs jobs;
  private final JdbcTemplate jdbc;
  private final DataSource database;
  private final OneTimeTask<Void> task;
  private Scheduler scheduler;

  JobDesk(Jobs jobs, DataSource database) {
    this.jobs = jobs;
    this.database = database;
    this.jdbc = new JdbcTemplate(database);
    this.task =
        Tasks.oneTime("make", Void.class)
            // what could not even be begun, the database being out of reach, is tried again
            .onFailure(
                (complete, operations) ->
                    operations.reschedule(complete, Instant.now().plus(AGAIN)))
            .execute((instance, context) -> jobs.make(number(instance.getId())));
  }

  @Override
  public void start() {
    // one process holds the data: what stands here was left by one that ended;
    // its jobs are in their own table, and are ordered anew from there
    jdbc.update("delete from scheduled_tasks");
    jobs.begin();
    scheduler =
        Scheduler.create(database, task)
            .threads(AT_ONCE)
            .pollingInterval(Duration.ofSeconds(10))
            .enableImmediateExecution()
            .shutdownMaxWait(Duration.ofSeconds(5))
            .build();
    scheduler.start();
    jobs.left().forEach(j -> schedule(j.getId()));
  }

  @EventListener
  void ordered(Jobs.Ordered job) {
    schedule(job.id());
  }

  /** Each time under a name of its own: one that just ended may have left its entry. */
  private void schedule(Long id) {
    scheduler.schedule(task.instance(id + "-" + System.nanoTime()), Instant.now());
  }

  private static Long number(String name) {
    return Long.valueOf(name.substring(0, name.indexOf('-')));
  }

  @Override
  public void stop() {
    jobs.stop();
    scheduler.stop();
    scheduler = null;
  }

  @Override
  public boolean isRunning() {
    return scheduler != null;
  }

  /** After everything is there, before the first page is answered. */
  @Override
  public int getPhase() {
    return 1;
  }
}
