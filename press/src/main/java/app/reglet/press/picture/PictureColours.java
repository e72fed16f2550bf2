package app.reglet.press.picture;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * The colours of a stored picture.
 *
 * @param model gray, RGB or CMYK, with bits a channel where they are not 8
 * @param profile what its ICC profile calls itself, empty without one
 */
public record PictureColours(String model, String profile) {
  /** Looks at the beginning of a file; what can't be told is left out. */
  public static PictureColours of(Picture picture) {
    try {
      return switch (picture.format()) {
        case JPEG -> ofJpeg(picture);
        case PNG -> ofPng(PngFile.of(picture.file()));
        case TIFF -> TiffColours.of(picture);
      };
    } catch (IOException | RuntimeException e) {
      return new PictureColours("", "");
    }
  }

  private static PictureColours ofJpeg(Picture picture) throws IOException {
    JpegFile jpeg = JpegFile.of(picture.file());
    String model =
        switch (jpeg.channels()) {
          case 1 -> "gray";
          case 4 -> "CMYK";
          default -> "RGB";
        };
    return new PictureColours(model, IccProfile.name(jpeg.profile(picture.file())));
  }

  private static PictureColours ofPng(PngFile png) {
    String model = png.colour() == 0 || png.colour() == 4 ? "gray" : "RGB";
    return new PictureColours(
        model
            + (png.depth() == 16 ? " of 16 bits" : png.colour() == 3 ? " by a palette" : "")
            + (png.mayBeTransparent() ? ", clear in places" : ""),
        IccProfile.name(png.profile()));
  }

  /** Whether its colours are taken for sRGB, since it says nothing of them. */
  public boolean isAssumed() {
    return profile.isEmpty() && model.startsWith("RGB");
  }

  /** As a phrase: {@code RGB, no profile: taken for sRGB}. */
  public String said() {
    List<String> said = new ArrayList<>();
    if (!model.isEmpty()) {
      said.add(model);
    }
    if (!profile.isEmpty()) {
      said.add("profile “" + profile + "”");
    } else if (isAssumed()) {
      said.add("no profile: taken for sRGB");
    } else if (model.startsWith("CMYK")) {
      said.add("no profile: taken for the inks of the press");
    } else {
      said.add("no profile told");
    }
    return String.join(", ", said);
  }
}
