package app.reglet.press.type;

import app.reglet.core.Refusal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The typefaces that ship with Reglet, all under the SIL Open Font License; see NOTICE. */
public final class Typefaces {
  private static final String[][] SHIPPED = {
    {"alegreya", "Alegreya", "alegreya/Alegreya_400Regular"},
    {"alegreya-italic", "Alegreya Italic", "alegreya/Alegreya_400Regular_Italic"},
    {"alegreya-bold", "Alegreya Bold", "alegreya/Alegreya_700Bold"},
    {"cinzel", "Cinzel", "cinzel/Cinzel_400Regular"},
    {"cinzel-bold", "Cinzel Bold", "cinzel/Cinzel_700Bold"},
    {"cormorant-garamond", "Cormorant Garamond", "cormorant-garamond/CormorantGaramond_500Medium"},
    {
      "cormorant-garamond-italic",
      "Cormorant Garamond Italic",
      "cormorant-garamond/CormorantGaramond_500Medium_Italic"
    },
    {
      "cormorant-garamond-semibold",
      "Cormorant Garamond Semibold",
      "cormorant-garamond/CormorantGaramond_600SemiBold"
    },
    {
      "cormorant-garamond-bold",
      "Cormorant Garamond Bold",
      "cormorant-garamond/CormorantGaramond_700Bold"
    },
    {"eb-garamond", "EB Garamond", "eb-garamond/EBGaramond_400Regular"},
    {"eb-garamond-italic", "EB Garamond Italic", "eb-garamond/EBGaramond_400Regular_Italic"},
    {"eb-garamond-bold", "EB Garamond Bold", "eb-garamond/EBGaramond_700Bold"},
    {"josefin-sans", "Josefin Sans", "josefin-sans/JosefinSans_400Regular"},
    {"josefin-sans-semibold", "Josefin Sans Semibold", "josefin-sans/JosefinSans_600SemiBold"},
    {"libre-baskerville", "Libre Baskerville", "libre-baskerville/LibreBaskerville_400Regular"},
    {
      "libre-baskerville-italic",
      "Libre Baskerville Italic",
      "libre-baskerville/LibreBaskerville_400Regular_Italic"
    },
    {
      "libre-baskerville-bold",
      "Libre Baskerville Bold",
      "libre-baskerville/LibreBaskerville_700Bold"
    },
    {"oswald", "Oswald", "oswald/Oswald_400Regular"},
    {"oswald-semibold", "Oswald Semibold", "oswald/Oswald_600SemiBold"},
    {"playfair-display", "Playfair Display", "playfair-display/PlayfairDisplay_400Regular"},
    {"playfair-display-bold", "Playfair Display Bold", "playfair-display/PlayfairDisplay_700Bold"},
    {"spectral", "Spectral", "spectral/Spectral_400Regular"},
    {"spectral-italic", "Spectral Italic", "spectral/Spectral_400Regular_Italic"},
    {"spectral-bold", "Spectral Bold", "spectral/Spectral_700Bold"},
    {"work-sans", "Work Sans", "work-sans/WorkSans_400Regular"},
    {"work-sans-semibold", "Work Sans Semibold", "work-sans/WorkSans_600SemiBold"},
  };

  private final Map<String, Typeface> byId = new LinkedHashMap<>();

  private Typefaces() {
    for (String[] row : SHIPPED) {
      byId.put(row[0], new Typeface(row[0], row[1], "/fonts/" + row[2] + ".ttf"));
    }
  }

  /** The shipped faces; each file is read when it is first used. */
  public static Typefaces shipped() {
    return new Typefaces();
  }

  public List<Typeface> all() {
    return List.copyOf(byId.values());
  }

  public boolean has(String id) {
    return byId.containsKey(id);
  }

  /**
   * A face by its id.
   *
   * @throws Refusal when there is none
   */
  public Typeface get(String id) {
    Typeface face = byId.get(id);
    if (face == null) {
      throw new Refusal(
          "face", "There is no typeface “" + id + "” here: choose one from the list.");
    }
    return face;
  }
}
