package app.reglet.web.titles;

import app.reglet.core.book.Asset;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The pictures of a title as its row keeps them. */
final class KeptPictures {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final TypeReference<List<Asset>> ASSETS = new TypeReference<>() {};

  private KeptPictures() {}

  /** What can't be read any more is not known. */
  static List<Asset> read(String json) {
    try {
      return JSON.readValue(json, ASSETS);
    } catch (JacksonException e) {
      return List.of();
    }
  }

  static String write(List<Asset> assets) {
    return JSON.writeValueAsString(assets);
  }
}
