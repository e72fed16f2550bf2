package app.reglet.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import org.testng.annotations.Test;

/** What is kept in memory of the database. */
public class RememberedTest {
  @Test
  public void whatIsReadIsKeptUntilItIsChanged() {
    AtomicInteger readings = new AtomicInteger();
    Remembered<Integer> kept = new Remembered<>(readings::incrementAndGet);
    assertThat(kept.get()).isEqualTo(1);
    assertThat(kept.get()).isEqualTo(1);
    kept.changed();
    assertThat(kept.get()).isEqualTo(2);
  }

  /** Somebody is taken off while a request reads who there is: they must not stay in memory. */
  @Test
  public void whatWasReadWhileItChangedIsReadAgain() {
    AtomicReference<String> database = new AtomicReference<>("Maren and Ines");
    AtomicReference<Runnable> meanwhile = new AtomicReference<>();
    Remembered<String> kept =
        new Remembered<>(
            () -> {
              String read = database.get();
              meanwhile.getAndSet(() -> {}).run();
              return read;
            });
    meanwhile.set(
        () -> {
          database.set("Maren");
          kept.changed();
        });
    assertThat(kept.get()).isEqualTo("Maren and Ines"); // asked before the change
    assertThat(kept.get()).isEqualTo("Maren");
  }
}
