package app.reglet.web.shell;

import app.reglet.web.demo.DemoWorld;
import app.reglet.web.fonts.Fonts;
import app.reglet.web.houses.Houses;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.store.DataDirectory;
import java.io.IOException;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * Everything that must be there before the first page is answered: rule sheets, the demo's titles,
 * and no leavings of a run that was killed. Runs in a phase before the web server's.
 */
@Component
@ConditionalOnWebApplication
public class Opening implements SmartLifecycle {
  private final DataDirectory data;
  private final Houses houses;
  private final Fonts fonts;
  private final Optional<DemoWorld> demo;
  private final ReadingRoom reading;
  private final boolean ahead;
  private volatile boolean done;

  public Opening(
      DataDirectory data,
      Houses houses,
      Fonts fonts,
      Optional<DemoWorld> demo,
      ReadingRoom reading,
      @Value("${reglet.reading.ahead:true}") boolean ahead) {
    this.ahead = ahead;
    this.fonts = fonts;
    this.reading = reading;
    this.data = data;
    this.houses = houses;
    this.demo = demo;
  }

  @Override
  public void start() {
    try {
      data.sweep();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    houses.load();
    fonts.load();
    demo.ifPresent(DemoWorld::putIn);
    if (ahead) {
      reading.prepare();
    }
    done = true;
  }

  @Override
  public void stop() {
    done = false;
  }

  @Override
  public boolean isRunning() {
    return done;
  }

  @Override
  public int getPhase() {
    return 0;
  }
}
