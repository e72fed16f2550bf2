package app.reglet.core.house;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** The shipped sheets, for tests. */
public final class Houses {
  public static final RuleSheet GANNET = RuleSheetReader.read(text("gannet-and-gauge"));
  public static final RuleSheet OSIER = RuleSheetReader.read(text("osier-row"));

  public static final RuleSheet DUNLIN = RuleSheetReader.read(text("dunlin-casebinders"));
  public static final RuleSheet WHIMBREL = RuleSheetReader.read(text("whimbrel-digital"));
  public static final RuleSheet SANDLING = RuleSheetReader.read(text("sandling-and-daughters"));

  public static final RuleSheet LANTERN = RuleSheetReader.read(text("lantern-shelf"));
  public static final RuleSheet HARBOUR = RuleSheetReader.read(text("harbour-reading-room"));

  private Houses() {}

  public static java.util.List<RuleSheet> all() {
    return java.util.List.of(GANNET, OSIER, DUNLIN, WHIMBREL, SANDLING);
  }

  public static java.util.List<String> ids() {
    return java.util.List.of(
        "gannet-and-gauge",
        "osier-row",
        "dunlin-casebinders",
        "whimbrel-digital",
        "sandling-and-daughters",
        "lantern-shelf",
        "harbour-reading-room");
  }

  public static String text(String id) {
    try (InputStream in = Houses.class.getResourceAsStream("/houses/" + id + ".json")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
