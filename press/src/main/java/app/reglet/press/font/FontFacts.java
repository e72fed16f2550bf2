package app.reglet.press.font;

import java.util.List;
import java.util.Map;

/**
 * What a font file that somebody brought was found to be.
 *
 * @param family its name
 * @param embedding what its maker allows
 * @param axes of a variable font, none of others
 * @param faces that were written of it
 * @param notes what people should know of it, a sentence each
 */
public record FontFacts(
    String family, Embedding embedding, List<Axis> axes, List<Face> faces, List<String> notes) {
  /**
   * A face that was written as a TrueType file of its own.
   *
   * @param sha SHA-256 of that file, in hex
   * @param family its own family, another than the file's in a collection of several
   * @param style {@code Bold Italic}
   * @param weight from 1 to 1000, 400 for regular (CSS Fonts 4, 2.2.2)
   * @param italic whether it slants
   * @param place where it is on the axes, by their tags; empty where there are none
   */
  public record Face(
      String sha,
      String family,
      String style,
      int weight,
      boolean italic,
      Map<String, Double> place) {
    public Face {
      place = Map.copyOf(place);
    }
  }

  public FontFacts {
    axes = List.copyOf(axes);
    faces = List.copyOf(faces);
    notes = List.copyOf(notes);
  }
}
