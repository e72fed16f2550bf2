package app.reglet.web.store;

import static org.assertj.core.api.Assertions.assertThat;

import app.reglet.press.reading.FileBytes;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import org.testng.annotations.Test;

/**
 * A migration that somebody's data went through is never changed again, not by a word of its
 * comment: Flyway compares sums, and data would be refused at the next start. When one lands it is
 * written down here.
 */
public class MigrationsTest {
  private static final Map<String, String> LANDED =
      Map.ofEntries(
          Map.entry(
              "V1__ground.sql", "24df15659bce019405e7bb936f8146199ef49ec177f30cd036f054993f693ab1"),
          Map.entry(
              "V2__every_house.sql",
              "7dfcfec6957677c4aa8520fb251b7766ea1f6af0fdbf2fe6ead5528a402d68d0"),
          Map.entry(
              "V3__safe_ground.sql",
              "5a12b8577139790f077e278b2f7fbd7f26000070f02b598b2194684e94d8a4ce"),
          Map.entry(
              "V4__number_and_keep.sql",
              "01b5952ec6533a476e626d53a6e4d06b7da74c60bae826da0291a7db9528965e"),
          Map.entry(
              "V5__placed_files.sql",
              "85d42c246ca90ef8ca8c39faf1aa2eb1b64d846504763b27c9e1eace56fbda30"),
          Map.entry(
              "V6__more_facts.sql",
              "a8c035b1053a83a77b5ab13527b6ff6787ff6dc491a1dba0d9b805789d65f4db"),
          Map.entry(
              "V7__fonts.sql", "e96c2ef9649550bd6e9d852185030da6981686694e0032332ee586391677421f"),
          Map.entry(
              "V8__pictures_of_titles.sql",
              "c121e270e625b6908c3a94ed17bba907388c6b22626eca6ede30a903af0bf675"),
          Map.entry(
              "V9__looks.sql", "105606f867ec9c5bc84c15e59d5943133c85af3bbeb437ad07159ecdd67c62c3"),
          Map.entry(
              "V10__carried.sql",
              "6b2bea6bae4e0fd3b8e91c6a0b0b5fe54d931e216fb5f7c0b2abb3fa8a0d2fbb"),
          Map.entry(
              "V11__following.sql",
              "405da72492fae4000cdfea3aa8170359ebd26bf07ce204b0da055993ac118ce5"),
          Map.entry(
              "V12__refitted.sql",
              "58929044f2155a088111a46952d8db1bfe4dc6453530342dd283856a868a3fc6"));

  @Test
  public void noMigrationThatLandedIsChanged() throws IOException {
    Path directory = Path.of("src/main/resources/db/migration");
    for (Map.Entry<String, String> e : LANDED.entrySet()) {
      assertThat(FileBytes.of(directory.resolve(e.getKey())).sha())
          .as(e.getKey())
          .isEqualTo(e.getValue());
    }
  }
}
