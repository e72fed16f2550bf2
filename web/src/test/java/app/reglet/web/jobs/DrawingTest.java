package app.reglet.web.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.testng.annotations.Test;

public class DrawingTest {
  @Test
  public void whatIsDrawnIsDrawnByHandsOfItsOwnAndWhatTheyDrawWithinItByTheSame() {
    Drawing drawing = new Drawing();
    Set<Thread> hands = ConcurrentHashMap.newKeySet();
    try {
      String drawn =
          drawing.now(
              () -> {
                hands.add(Thread.currentThread());
                return drawing.now(
                    () -> {
                      hands.add(Thread.currentThread());
                      return "drawn";
                    });
              });
      assertThat(drawn).isEqualTo("drawn");
      assertThat(hands).hasSize(1).doesNotContain(Thread.currentThread());
      assertThatThrownBy(
              () ->
                  drawing.now(
                      () -> {
                        throw new Refusal("not drawn");
                      }))
          .isInstanceOf(Refusal.class)
          .hasMessage("not drawn");
    } finally {
      drawing.end();
    }
  }
}
