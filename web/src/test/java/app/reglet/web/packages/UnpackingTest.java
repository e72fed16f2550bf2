package app.reglet.web.packages;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.testing.Scratch;
import app.reglet.web.Own;
import app.reglet.web.bench.Revisions;
import app.reglet.web.carry.Carrying;
import app.reglet.web.carry.Refitting;
import app.reglet.web.fonts.Fonts;
import app.reglet.web.houses.Houses;
import app.reglet.web.people.Who;
import app.reglet.web.pictures.PictureStore;
import app.reglet.web.pictures.PlacedFiles;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import app.reglet.web.titles.LetBeRows;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.transaction.PlatformTransactionManager;
import org.testng.annotations.Test;

/** A package comes in whole or not at all, also when the disk fails half-way. */
public class UnpackingTest {
  /** Says that the disk is full when a second edition is to be saved. */
  private static Editions failing(Editions real) {
    AtomicInteger saved = new AtomicInteger();
    return (Editions)
        Proxy.newProxyInstance(
            UnpackingTest.class.getClassLoader(),
            new Class<?>[] {Editions.class},
            (proxy, method, args) -> {
              if (method.getName().startsWith("save") && saved.incrementAndGet() == 2) {
                throw new UncheckedIOException(new IOException("No space left on device"));
              }
              try {
                return method.invoke(real, args);
              } catch (InvocationTargetException e) {
                throw e.getCause();
              }
            });
  }

  private static Unpacking unpacking(Own reglet, Editions editions) {
    return new Unpacking(
        reglet.bean(LetBeRows.class),
        reglet.bean(Books.class),
        editions,
        reglet.bean(Houses.class),
        reglet.bean(Revisions.class),
        reglet.bean(Carrying.class),
        reglet.bean(Refitting.class),
        reglet.bean(PictureStore.class),
        reglet.bean(PlacedFiles.class),
        reglet.bean(Fonts.class),
        reglet.bean(Uploads.class),
        reglet.bean(Room.class),
        reglet.bean(Who.class),
        reglet.bean(Clock.class),
        reglet.bean(PlatformTransactionManager.class));
  }

  @Test
  public void aPackageWhoseSecondEditionCannotBeSavedLeavesNothingAndComesInLater()
      throws IOException {
    try (Own reglet = new Own("--reglet.demo=true")) {
      Editions real = reglet.bean(Editions.class);
      EditionEntity first = real.findAllByOrderByIdAsc().get(0);
      reglet
          .web()
          .post(
              "/editions/" + first.getId() + "/carry",
              List.of(Map.entry("house", "osier-row"), Map.entry("binding", "flapped")),
              false);
      assertThat(real.ofBook(first.getBook().getId())).hasSize(2);
      Path zip = Scratch.file("title", ".zip");
      String at = reglet.address() + "/editions/" + first.getId() + "/package";
      try (var in = URI.create(at).toURL().openStream()) {
        Files.copy(in, zip, StandardCopyOption.REPLACE_EXISTING);
      }
      long titles = reglet.bean(Books.class).count();
      long editions = real.count();
      assertThatThrownBy(() -> unpacking(reglet, failing(real)).take(zip))
          .isInstanceOf(IOException.class)
          .hasMessageContaining("No space left");
      assertThat(reglet.bean(Books.class).count()).isEqualTo(titles);
      assertThat(real.count()).isEqualTo(editions);
      List<Long> made = unpacking(reglet, real).take(zip);
      assertThat(made).hasSizeGreaterThan(1);
      assertThat(reglet.bean(Books.class).count()).isEqualTo(titles + 1);
      assertThat(real.count()).isEqualTo(editions + made.size());
    }
  }
}
