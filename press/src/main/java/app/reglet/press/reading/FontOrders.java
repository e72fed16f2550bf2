package app.reglet.press.reading;

import app.reglet.press.font.FontFacts;
import app.reglet.press.font.FontReader;
import app.reglet.press.type.BroughtFaces;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Orders about fonts: each face that is written becomes a file named by its SHA-256. */
final class FontOrders {
  private FontOrders() {}

  static FontFacts read(FileBytes file, Budget budget, JsonNode asked) throws IOException {
    budget.allowParts(ReadingDesk.FONT_PARTS);
    return FontReader.read(file.all(), name(asked), budget, desk(asked));
  }

  static FontFacts.Face cut(FileBytes file, Budget budget, JsonNode asked) throws IOException {
    Map<String, Double> place = new HashMap<>();
    asked.get("place").properties().forEach(e -> place.put(e.getKey(), e.getValue().doubleValue()));
    return FontReader.cut(file.all(), name(asked), place, budget, desk(asked));
  }

  private static String name(JsonNode asked) {
    return asked.get("name").stringValue();
  }

  private static FontReader.FontDesk desk(JsonNode asked) {
    Path into = Path.of(asked.get("into").stringValue());
    return new FontReader.FontDesk() {
      @Override
      public boolean works(byte[] file) {
        return BroughtFaces.works(file);
      }

      @Override
      public String keep(byte[] file) {
        try {
          String sha = FileBytes.of(file).sha();
          Files.write(into.resolve(sha), file);
          return sha;
        } catch (IOException e) {
          throw new UncheckedIOException(e);
        }
      }
    };
  }
}
