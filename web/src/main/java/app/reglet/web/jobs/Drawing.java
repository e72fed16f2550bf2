package app.reglet.web.jobs;

import app.reglet.web.shell.Busy;
import jakarta.annotation.PreDestroy;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Draws what pages show, two at once: a request's own thread draws nothing. What is drawn waits for
 * nothing else that is drawn here.
 */
@Component
public class Drawing {
  private static final int AT_ONCE = 2;
  private static final int MOST_WAITING = 40;

  private final ThreadPoolExecutor threads =
      new ThreadPoolExecutor(
          AT_ONCE, AT_ONCE, 1, TimeUnit.MINUTES, new ArrayBlockingQueue<>(MOST_WAITING), Hand::new);

  /** One of the threads that draw, known by its kind so that it never waits for itself. */
  private static final class Hand extends Thread {
    Hand(Runnable drawing) {
      super(drawing, "drawing");
      setDaemon(true);
    }
  }

  Drawing() {
    threads.allowCoreThreadTimeOut(true);
  }

  /**
   * What is drawn, when it is.
   *
   * @throws Busy when too much waits to be drawn
   */
  public <T> CompletableFuture<T> of(Supplier<T> drawing) {
    try {
      return CompletableFuture.supplyAsync(drawing, threads);
    } catch (RejectedExecutionException e) {
      throw new Busy(
          MOST_WAITING + " other pictures wait to be drawn: try again in a few seconds.");
    }
  }

  /**
   * What is drawn, waited for.
   *
   * @throws Busy when too much waits to be drawn
   */
  public <T> T now(Supplier<T> drawing) {
    if (Thread.currentThread() instanceof Hand) {
      return drawing.get(); // it has a hand already
    }
    try {
      return of(drawing).join();
    } catch (CompletionException e) {
      if (e.getCause() instanceof RuntimeException r) {
        throw r;
      }
      throw e;
    }
  }

  @PreDestroy
  void end() {
    threads.shutdownNow();
  }
}
