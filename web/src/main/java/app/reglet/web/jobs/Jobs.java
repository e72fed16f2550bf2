package app.reglet.web.jobs;

import app.reglet.core.Refusal;
import app.reglet.press.pdf.Progress;
import app.reglet.web.shell.Busy;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.NoRoom;
import app.reglet.web.store.Room;
import app.reglet.web.store.StoredFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.Lock;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;

/**
 * Files that are made in the background, each once: whoever orders what is there already gets it,
 * and what is being made is not begun again.
 */
@Service
public class Jobs {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
  private static final Set<Job.State> OPEN = Set.of(Job.State.WAITING, Job.State.RUNNING);

  /** Files that are kept; the oldest go first. */
  private static final int MOST_KEPT = 120;

  private static final long MOST_BYTES = 3_000_000_000L;

  /** Orders that may wait at once. */
  private static final int MOST_WAITING = 100;

  private final JobRows rows;
  private final Map<String, JobMaker> makers;
  private final DataDirectory data;
  private final Room room;
  private final Clock clock;
  private final ApplicationEventPublisher events;

  /** How far those are that run, by id. */
  private final Map<Long, Double> shares = new ConcurrentHashMap<>();

  /** Held while one is made, by id: who comes for it meanwhile waits, and sees how it ended. */
  private final Map<Long, Lock> making = new ConcurrentHashMap<>();

  /** Held while it is written down how one ended, or that it is ordered anew. */
  private final Object telling = new Object();

  private final Set<Long> cancelled = ConcurrentHashMap.newKeySet();

  /** Of those that somebody waits for, by id; looked at and let go while the end is told. */
  private final Map<Long, CountDownLatch> ends = new ConcurrentHashMap<>();

  /** How jobs ended, where a full disk didn't let it be written down. */
  private final Map<Long, Ending> untold = new ConcurrentHashMap<>();

  private volatile boolean stopping;

  Jobs(
      JobRows rows,
      List<JobMaker> makers,
      DataDirectory data,
      Room room,
      Clock clock,
      ApplicationEventPublisher events) {
    this.rows = rows;
    this.makers = makers.stream().collect(Collectors.toMap(JobMaker::kind, Function.identity()));
    this.data = data;
    this.room = room;
    this.clock = clock;
    this.events = events;
  }

  /** Told when there is something to make. */
  record Ordered(Long id) {}

  /**
   * Orders a file.
   *
   * @return the job that makes it or made it
   * @throws Busy when too many wait
   */
  public Job order(Order order) {
    for (int tries = 0; ; tries++) {
      try {
        Job job =
            rows.findByHash(order.hash())
                .map(this::told)
                .orElseGet(() -> new Job(order, clock.instant()));
        boolean fresh = job.getId() == null;
        if (!fresh && !job.isOver()) {
          cancelled.remove(job.getId()); // somebody wants it after all
          return job;
        }
        if (job.isDone() && Files.exists(file(job))) {
          return job;
        }
        if (rows.countByStateIn(OPEN) >= MOST_WAITING) {
          throw new Busy(
              MOST_WAITING
                  + " files wait to be made; order this one when some of them are done, or take some back.");
        }
        Job kept = begun(job, fresh);
        begin(kept);
        return kept;
      } catch (DataIntegrityViolationException ordered) {
        if (tries > 5) {
          throw ordered; // others ordered the same at the same moment, again and again
        }
      }
    }
  }

  /** Written down as waiting, and nothing said of it any more that was said before. */
  private Job begun(Job job, boolean fresh) {
    synchronized (telling) {
      if (!fresh) {
        untold.remove(job.getId());
        job.again(clock.instant());
      }
      Job kept = rows.saveAndFlush(job);
      cancelled.remove(kept.getId());
      return kept;
    }
  }

  /** Has it made; what can't be handed on would wait for ever, and is told as not made. */
  private void begin(Job kept) {
    try {
      events.publishEvent(new Ordered(kept.getId()));
    } catch (RuntimeException e) {
      end(kept, Job.State.FAILED, "Not made: Reglet could not begin with it. Order it again.", 0);
      throw e;
    }
  }

  /**
   * One by its number.
   *
   * @throws Gone when there is none
   */
  public Job get(Long id) {
    return rows.findById(id)
        .map(this::told)
        .orElseThrow(() -> new Gone("There is no such file here: order it again on Dispatch."));
  }

  /** How many come before one that waits. */
  public long before(Job job) {
    return rows.findByStateIn(OPEN).stream()
        .filter(j -> j.getId() < job.getId() && !untold.containsKey(j.getId()))
        .count();
  }

  /** How far one is, 0 to 1. */
  public double share(Job job) {
    return job.isOver() ? 1 : shares.getOrDefault(job.getId(), 0.0);
  }

  /** The file of one that is done. */
  public Path file(Job job) {
    return data.made().resolve(job.getHash());
  }

  /** Takes an order back: it is not begun, or ended where it is. */
  public Job cancel(Long id) {
    Job job = get(id);
    if (!job.isOver()) {
      cancelled.add(id);
      if (job.getState() == Job.State.WAITING) {
        end(job, Job.State.CANCELLED, "Taken back before it was begun.", 0);
      }
    }
    return get(id);
  }

  /**
   * Waits for the end of one.
   *
   * @throws Busy when it takes longer
   * @throws Refusal when it could not be made
   */
  public Job await(Job job, int seconds) {
    long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(seconds);
    try {
      Job now = get(job.getId());
      while (!now.isOver()) {
        if (!end(now).await(until - System.nanoTime(), TimeUnit.NANOSECONDS)) {
          throw new Busy(
              "The file is still being made after "
                  + seconds
                  + " seconds: it will be there when you ask again.");
        }
        now = get(job.getId()); // it may have been ordered anew meanwhile
      }
      if (!now.isDone()) {
        throw new Refusal("file", now.getMessage());
      }
      return now;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Busy("Reglet is being stopped: ask again when it is up.");
    }
  }

  /** What is counted down at the end of one, or is already when it is over by now. */
  private CountDownLatch end(Job job) {
    synchronized (telling) {
      return get(job.getId()).isOver()
          ? new CountDownLatch(0)
          : ends.computeIfAbsent(job.getId(), id -> new CountDownLatch(1));
    }
  }

  /** Those that a stop left undone. */
  List<Job> left() {
    return rows.findByStateIn(OPEN).stream().sorted(Comparator.comparing(Job::getId)).toList();
  }

  /** Ends what runs, to be begun again at the next start. */
  void stop() {
    stopping = true;
  }

  void begin() {
    stopping = false;
  }

  /**
   * Makes one now, on this thread. One that is still being ended on another is waited for: it may
   * have been ordered anew already.
   */
  void make(Long id) {
    Lock lock = making.computeIfAbsent(id, k -> new ReentrantLock());
    lock.lock();
    try {
      rows.findById(id).filter(j -> !j.isOver()).ifPresent(this::run);
    } finally {
      lock.unlock();
    }
  }

  private void run(Job begun) {
    Job job = begun;
    try {
      job.become(Job.State.RUNNING);
      job = rows.saveAndFlush(job);
      made(job);
    } catch (Stopped stopped) {
      job.become(Job.State.WAITING); // begun again at the next start
      rows.saveAndFlush(job);
    } catch (CancellationException taken) {
      end(job, Job.State.CANCELLED, "Taken back while it was made.", 0);
    } catch (Refusal | NoRoom | Busy | Gone e) {
      end(job, Job.State.FAILED, e.getMessage(), 0);
    } catch (IOException | UncheckedIOException e) {
      LOG.warn("file not made", e);
      end(job, Job.State.FAILED, why(), 0);
    } catch (OutOfMemoryError e) {
      LOG.warn("file not made", e);
      end(
          job,
          Job.State.FAILED,
          "Not made: it takes more memory than Reglet has. Use coarser pictures, or give it more with REGLET_JAVA_OPTS.",
          0);
    } catch (RuntimeException | Error e) {
      LOG.error("file not made", e);
      end(
          job,
          Job.State.FAILED,
          "Not made: something in Reglet went wrong with it, and the log says what. Nothing is lost.",
          0);
    } finally {
      shares.remove(job.getId());
    }
  }

  private String why() {
    return room.left() < Room.KEPT_FREE
        ? "Not made: the disk that holds Reglet's data is full. Files made before are still there; make room on it and make this one again."
        : "Not made: it could not be written, or something it is made of could not be read; the log says what. Files made before are still there.";
  }

  /** Ends a making because Reglet ends. */
  private static final class Stopped extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Stopped() {
      super("Reglet is being stopped", null, false, false);
    }
  }

  private void made(Job job) throws IOException {
    room.need(0);
    Path to = file(job);
    String[] said = {""};
    Progress progress =
        new Progress(
            share -> {
              shares.put(job.getId(), share);
              if (cancelled.contains(job.getId())) {
                throw new CancellationException();
              }
              if (stopping) {
                throw new Stopped();
              }
            });
    StoredFiles.write(to, out -> said[0] = makers.get(job.getKind()).make(job, out, progress));
    if (cancelled.contains(job.getId())) {
      throw new CancellationException();
    }
    end(job, Job.State.DONE, said[0], Files.size(to));
    LOG.info("file made of edition {}: {}", job.getEditionId(), job.getName());
    sweep();
  }

  private void end(Job job, Job.State how, String said, long bytes) {
    synchronized (telling) {
      untold.put(job.getId(), new Ending(how, said, bytes, clock.instant()));
      written(job);
      CountDownLatch end = ends.remove(job.getId());
      if (end != null) {
        end.countDown();
      }
    }
  }

  /** How one ended. */
  private record Ending(Job.State how, String said, long bytes, Instant at) {}

  /** As it ended, which is written down if it is not yet and there is room for it. */
  private Job told(Job job) {
    synchronized (telling) {
      return written(job);
    }
  }

  private Job written(Job job) {
    Ending ending = untold.get(job.getId());
    if (ending == null) {
      return job;
    }
    try {
      Job now = rows.findById(job.getId()).orElse(job);
      now.end(ending.how(), ending.said(), ending.bytes(), ending.at());
      now = rows.saveAndFlush(now);
      untold.remove(job.getId(), ending);
      return now;
    } catch (RuntimeException full) {
      LOG.warn("how the making of {} ended could not be written down yet", job.getName(), full);
      job.end(ending.how(), ending.said(), ending.bytes(), ending.at());
      return job;
    }
  }

  /**
   * Takes the oldest away, so many and so large: they can be made again. Those that were not made
   * are counted for themselves, and push no file out.
   */
  private void sweep() throws IOException {
    long bytes = 0;
    int kept = 0;
    int unmade = 0;
    for (Job old : rows.findByStateNotInOrderByFinishedDesc(OPEN)) {
      bytes += old.getBytes();
      boolean over =
          old.isDone()
              ? ++kept > MOST_KEPT || kept > 1 && bytes > MOST_BYTES
              : ++unmade > MOST_KEPT;
      if (over) {
        Files.deleteIfExists(file(old));
        rows.delete(old);
        making.remove(old.getId());
      }
    }
  }

  /** Those of an edition, the newest first. */
  public List<Job> of(Long edition, String kind) {
    return rows.findByEditionIdAndKindOrderByOrderedDesc(edition, kind).stream()
        .map(this::told)
        .toList();
  }
}
