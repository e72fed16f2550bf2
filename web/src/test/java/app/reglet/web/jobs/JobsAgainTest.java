package app.reglet.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.press.pdf.Progress;
import app.reglet.testing.Patience;
import app.reglet.web.Own;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import java.io.IOException;
import java.io.OutputStream;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.context.ApplicationEventPublisher;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** What is ordered anew, or can't be begun, is never left waiting. */
public class JobsAgainTest {
  private Own reglet;

  @BeforeClass
  public void start() throws Exception {
    reglet = new Own("--reglet.demo=true");
  }

  @AfterClass
  public void stop() {
    reglet.close();
  }

  /** A maker that counts and fails as it is told. */
  private static final class Failing implements JobMaker {
    final AtomicInteger made = new AtomicInteger();
    private final RuntimeException how;
    private final Error worse;

    Failing(RuntimeException how, Error worse) {
      this.how = how;
      this.worse = worse;
    }

    @Override
    public String kind() {
      return "failing";
    }

    @Override
    public String make(Job job, OutputStream out, Progress progress) {
      made.incrementAndGet();
      if (worse != null) {
        throw worse;
      }
      throw how;
    }
  }

  private Jobs jobs(JobRows rows, JobMaker maker, ApplicationEventPublisher events) {
    return new Jobs(
        rows,
        List.of(maker),
        reglet.bean(DataDirectory.class),
        reglet.bean(Room.class),
        reglet.bean(Clock.class),
        events);
  }

  /** What is done between a row's being read or written and its being handed back. */
  private interface Between {
    void does(String method, Object[] args) throws Exception;
  }

  private JobRows rows(Between between) {
    JobRows real = reglet.bean(JobRows.class);
    return (JobRows)
        Proxy.newProxyInstance(
            JobsAgainTest.class.getClassLoader(),
            new Class<?>[] {JobRows.class},
            (proxy, method, args) -> {
              Object out;
              // as it is before what is done next, which may write the same row
              boolean failing =
                  method.getName().equals("saveAndFlush")
                      && ((Job) args[0]).getState() == Job.State.FAILED;
              try {
                out = method.invoke(real, args);
              } catch (InvocationTargetException e) {
                throw e.getCause();
              }
              between.does(failing ? "failed" : method.getName(), args);
              return out;
            });
  }

  /** Whether a thread stands at a monitor of Jobs, or at a lock that Jobs asked for. */
  private static boolean waitsForJobs(Thread thread) {
    StackTraceElement[] at = thread.getStackTrace();
    String jobs = Jobs.class.getName();
    return thread.getState() == Thread.State.BLOCKED && at[0].getClassName().equals(jobs)
        || thread.getState() == Thread.State.WAITING
            && Arrays.stream(at)
                .map(StackTraceElement::getClassName)
                .filter(c -> !c.startsWith("java.") && !c.startsWith("jdk."))
                .findFirst()
                .equals(Optional.of(jobs));
  }

  private static Order order(String made) {
    return Order.of(1L, "failing", "x", "x.pdf", made);
  }

  /** While its end is being written down, another thread orders and makes it again. */
  @Test
  public void aFileOrderedAnewWhileItsEndIsWrittenDownIsMadeAgain() throws Exception {
    JobRows real = reglet.bean(JobRows.class);
    Failing maker = new Failing(new Refusal("file", "not today"), null);
    Jobs[] jobs = new Jobs[1];
    AtomicInteger saved = new AtomicInteger();
    CountDownLatch ordered = new CountDownLatch(1);
    CountDownLatch again = new CountDownLatch(1);
    JobRows rows =
        rows(
            (method, args) -> {
              if (method.equals("failed") && saved.getAndIncrement() == 0) {
                Thread other =
                    new Thread(
                        () -> {
                          ordered.countDown();
                          jobs[0].order(order("again"));
                          jobs[0].make(real.findByHash(order("again").hash()).get().getId());
                          again.countDown();
                        });
                other.start();
                ordered.await(Patience.seconds(), TimeUnit.SECONDS);
                while (other.isAlive() && !waitsForJobs(other)) {
                  Thread.onSpinWait(); // as far as it comes while this one is not over
                }
              }
            });
    jobs[0] = jobs(rows, maker, event -> {});
    Job first = jobs[0].order(order("again"));
    jobs[0].make(first.getId());
    assertThat(again.await(Patience.seconds(), TimeUnit.SECONDS)).isTrue();
    assertThat(maker.made.get()).isEqualTo(2);
    assertThat(jobs[0].get(first.getId()).getState()).isEqualTo(Job.State.FAILED);
  }

  @Test
  public void aFileWhoseMakingBreaksInTheVirtualMachineIsToldAsNotMade() {
    Failing maker = new Failing(null, new NoClassDefFoundError("gone"));
    Jobs jobs = jobs(reglet.bean(JobRows.class), maker, event -> {});
    Job job = jobs.order(order("broken"));
    jobs.make(job.getId());
    assertThat(jobs.get(job.getId()).getState()).isEqualTo(Job.State.FAILED);
    assertThat(jobs.get(job.getId()).getMessage()).contains("Nothing is lost");
  }

  @Test
  public void aFileThatCannotBeHandedOnIsToldAsNotMadeAndCanBeOrderedAgain() {
    Failing maker = new Failing(new Refusal("file", "not today"), null);
    boolean[] broken = {true};
    Jobs jobs =
        jobs(
            reglet.bean(JobRows.class),
            maker,
            event -> {
              if (broken[0]) {
                throw new IllegalStateException("no scheduler");
              }
            });
    assertThatThrownBy(() -> jobs.order(order("stuck"))).isInstanceOf(IllegalStateException.class);
    Job told = reglet.bean(JobRows.class).findByHash(order("stuck").hash()).orElseThrow();
    assertThat(jobs.get(told.getId()).isOver()).isTrue();
    broken[0] = false;
    Job again = jobs.order(order("stuck"));
    assertThat(again.getState()).isEqualTo(Job.State.WAITING);
    jobs.make(again.getId());
    assertThat(maker.made.get()).isEqualTo(1);
  }

  /** A maker that writes a byte, but for files whose name says that they fail. */
  private static final class Writing implements JobMaker {
    @Override
    public String kind() {
      return "failing";
    }

    @Override
    public String make(Job job, OutputStream out, Progress progress) throws IOException {
      if (job.getName().equals("fails.pdf")) {
        throw new Refusal("file", "not today");
      }
      out.write(1);
      return "made";
    }
  }

  @Test
  public void anOrderTakenBackAndGivenAgainIsMade() {
    JobMaker maker = new Writing();
    Jobs jobs = jobs(reglet.bean(JobRows.class), maker, event -> {});
    Job job = jobs.order(order("taken back"));
    assertThat(jobs.cancel(job.getId()).getState()).isEqualTo(Job.State.CANCELLED);
    jobs.make(job.getId());
    assertThat(jobs.file(job)).doesNotExist();
    jobs.order(order("taken back"));
    jobs.make(job.getId());
    assertThat(jobs.get(job.getId()).getState()).isEqualTo(Job.State.DONE);
    assertThat(jobs.get(job.getId()).getMessage()).isEqualTo("made");
  }

  /** It is read as not over yet, and has ended before anybody waits for its end. */
  @Test
  public void whoeverComesForAFileInTheMomentItEndsIsToldOfItsEnd() {
    JobRows real = reglet.bean(JobRows.class);
    Jobs maker = jobs(real, new Writing(), event -> {});
    AtomicInteger read = new AtomicInteger();
    JobRows rows =
        rows(
            (method, args) -> {
              if (method.equals("findById") && read.getAndIncrement() == 0) {
                maker.make((Long) args[0]);
              }
            });
    Job job = maker.order(order("ends at once"));
    Job seen = jobs(rows, new Writing(), event -> {}).await(job, 1);
    assertThat(read.get()).as("read as not over, and again").isGreaterThan(1);
    assertThat(seen.isDone()).isTrue();
  }

  /** As many that fail as files are kept. */
  @Test
  public void whatCouldNotBeMadePushesNoFileOut() {
    JobMaker maker = new Writing();
    Jobs jobs = jobs(reglet.bean(JobRows.class), maker, event -> {});
    Job first = jobs.order(order("kept file"));
    jobs.make(first.getId());
    for (int i = 0; i < 130; i++) {
      jobs.make(jobs.order(Order.of(1L, "failing", "x", "fails.pdf", "fails " + i)).getId());
    }
    Job last = jobs.order(order("another file"));
    jobs.make(last.getId());
    assertThat(jobs.file(first)).exists();
    assertThat(jobs.get(first.getId()).isDone()).isTrue();
    assertThat(jobs.file(last)).exists();
  }
}
