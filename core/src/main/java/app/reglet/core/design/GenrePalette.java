package app.reglet.core.design;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Five colours to begin with, for the shelf a book stands on: our own. */
public enum GenrePalette {
  LITERARY("literary", 0x22313a, 0xf3eee3, 0xb5482a, 0x7d8f86, 0xd9b36c),
  POETRY("poetry", 0x2e2b3a, 0xf6f2ea, 0x9c7c8c, 0xc8d3cf, 0xe2c9a6),
  ROMANCE("romance", 0x5a1f33, 0xfbeee9, 0xd9667b, 0xf0b8a9, 0x3f5a54),
  CRIME("crime", 0x121417, 0xe9e4d6, 0xc22f2b, 0x4a5a63, 0xd8b24a),
  FANTASY("fantasy", 0x1b1f3b, 0xe7ddc6, 0x6b4aa0, 0x2f7f79, 0xd4a24c),
  HISTORY("history", 0x3a2a1e, 0xf2e6cf, 0x8c3b26, 0x4c5f4e, 0xc49a4a),
  CHILDREN("children", 0x1f4a7a, 0xfff6dc, 0xf26b4e, 0x5bb98b, 0xf7c548),
  COOKERY("cookery", 0x3b2f2a, 0xfaf3e6, 0xc8502d, 0x6f8a4a, 0xe5b85c),
  SCIENCE("science", 0x0f2a3d, 0xeef3f4, 0x1f8fb0, 0xe4632e, 0x9fb4bd);

  private final String title;
  private final List<Integer> colours;

  GenrePalette(String title, Integer... colours) {
    this.title = title;
    this.colours = List.of(colours);
  }

  public String id() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** As people read it. */
  public String title() {
    return title;
  }

  /** Its colours, {@code #rrggbb}. */
  public List<String> hexes() {
    return colours.stream().map(c -> new Colour.Rgb(c).hex()).toList();
  }

  /** Its colours by what they are for. */
  public Map<String, Colour.Solid> named() {
    String[] names = {"Ink", "Paper", "Accent", "Quiet", "Light"};
    Map<String, Colour.Solid> all = new LinkedHashMap<>();
    for (int i = 0; i < names.length; i++) {
      all.put(names[i], new Colour.Rgb(colours.get(i)));
    }
    return all;
  }
}
