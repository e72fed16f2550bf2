package app.reglet.web.houses;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/** The rule sheets that ship with Reglet. */
public final class ShippedRuleSheets {
  private static final List<String> IDS =
      List.of(
          "gannet-and-gauge",
          "osier-row",
          "dunlin-casebinders",
          "sandling-and-daughters",
          "whimbrel-digital",
          "lantern-shelf",
          "harbour-reading-room");

  private ShippedRuleSheets() {}

  /** The documents. */
  public static List<String> texts() {
    return IDS.stream().map(id -> text(id).orElseThrow()).toList();
  }

  /** The ids. */
  public static List<String> ids() {
    return IDS;
  }

  /** The document of one shipped sheet. */
  public static Optional<String> text(String id) {
    if (!IDS.contains(id)) {
      return Optional.empty();
    }
    try (InputStream in = ShippedRuleSheets.class.getResourceAsStream("/houses/" + id + ".json")) {
      return Optional.of(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
