package app.reglet.web.profiles;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.core.house.RuleSheet;
import app.reglet.press.colour.Condition;
import app.reglet.press.colour.OutputCondition;
import app.reglet.press.colour.PressInks;
import app.reglet.press.colour.PressProfile;
import app.reglet.web.houses.Houses;
import app.reglet.web.reading.ReadingRoom;
import app.reglet.web.store.Remembered;
import app.reglet.web.store.Room;
import app.reglet.web.titles.Latest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * The printing conditions that files can be made for: those that ship, and profiles of people's
 * own.
 */
@Service
public class Conditions {
  private static final int MOST = 40;
  private static final int INKS_KEPT = 8;

  private final ProfileRows rows;
  private final ReadingRoom reading;
  private final Houses houses;
  private final Room room;
  private final Clock clock;

  private final Latest<PressInks> inks = new Latest<>(INKS_KEPT);

  /** Those of people, read once. */
  private final Remembered<List<Condition>> own;

  Conditions(ProfileRows rows, ReadingRoom reading, Houses houses, Room room, Clock clock) {
    this.rows = rows;
    this.reading = reading;
    this.houses = houses;
    this.room = room;
    this.clock = clock;
    this.own = new Remembered<>(this::read);
  }

  /** Those that ship. */
  public List<Condition> shipped() {
    return Arrays.stream(OutputCondition.values()).map(OutputCondition::condition).toList();
  }

  /** Those that people brought. */
  public List<Condition> own() {
    return own.get();
  }

  private List<Condition> read() {
    return rows.findAll().stream()
        .map(e -> new Condition(e.getId(), e.getTitle(), "", PressProfile.of(e.getIcc())))
        .toList();
  }

  /** All of them. */
  public List<Condition> all() {
    return Stream.concat(shipped().stream(), own().stream()).toList();
  }

  /**
   * One by its short name.
   *
   * @throws Refusal when there is none such
   */
  public Condition byId(String id) {
    return all().stream()
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new Refusal(
                    "condition",
                    "No profile of the printing condition “"
                        + id
                        + "” is here: add it under Houses, or choose another."));
  }

  /**
   * The inks of rules, made once: that takes some 40 ms.
   *
   * @throws Refusal when their condition is not here
   */
  public PressInks inks(PressRules rules) {
    PressProfile profile = byId(rules.condition()).profile();
    String key =
        String.join(
            " ",
            profile.sha(),
            rules.intent().name(),
            String.valueOf(rules.blackPoint()),
            String.valueOf(rules.mostInk()),
            rules.richBlack().text());
    return inks.computeIfAbsent(key, k -> PressInks.of(profile, rules));
  }

  /**
   * Adds a profile.
   *
   * @param title what people call the condition
   * @throws Refusal when it can't be used, or one is here under that name
   */
  public Condition add(String title, Path file) throws IOException {
    String name = title.strip();
    String id = name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("^-|-$", "");
    if (name.isEmpty() || name.length() > 100 || id.isEmpty() || id.length() > 60) {
      throw new Refusal(
          "title",
          "A printing condition has a name of 1 to 60 characters with letters or digits, such as “Sheet-fed, uncoated”.");
    }
    if (all().stream().anyMatch(c -> c.id().equals(id))) {
      throw new Refusal(
          "title", "A printing condition “" + id + "” is here already: give another name.");
    }
    if (own().size() >= MOST) {
      throw new Refusal(
          "title", MOST + " profiles are here; take one away that no house needs any more.");
    }
    reading.profile(file);
    byte[] icc = Files.readAllBytes(file);
    room.need(icc.length);
    PressProfile profile = PressProfile.of(icc);
    rows.saveAndFlush(new ProfileEntity(id, name, profile.sha(), icc, clock.instant()));
    own.changed();
    return byId(id);
  }

  /** Houses whose sheets in force name a condition. */
  public List<String> usedBy(String id) {
    return houses.all().stream()
        .filter(h -> h.files().press().isInks() && h.files().press().condition().equals(id))
        .map(RuleSheet::name)
        .toList();
  }

  /**
   * Takes one away.
   *
   * @throws Refusal when a house's sheet names it
   */
  public void remove(String id) {
    List<String> users = usedBy(id);
    if (!users.isEmpty()) {
      throw new Refusal(
          "profile",
          "The sheet of "
              + String.join(", ", users)
              + " names this printing condition: have it name another first.");
    }
    rows.findById(id).ifPresent(rows::delete);
    own.changed();
  }
}
