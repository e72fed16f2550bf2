package app.reglet.press.picture;

import app.reglet.press.reading.Budget;
import com.twelvemonkeys.imageio.metadata.CompoundDirectory;
import com.twelvemonkeys.imageio.metadata.Directory;
import com.twelvemonkeys.imageio.metadata.Entry;
import com.twelvemonkeys.imageio.metadata.tiff.TIFF;
import com.twelvemonkeys.imageio.metadata.tiff.TIFFReader;
import java.io.IOException;
import java.lang.reflect.Array;
import java.util.Optional;
import javax.imageio.stream.ImageInputStream;

/** What a TIFF says of its colours in its first directory (TIFF 6.0, sections 4 to 6, 16, 18). */
final class TiffColours {
  private static final int SEPARATED = 5;
  private static final int Y_CB_CR = 6;
  private static final int CIE_LAB = 8;
  private static final int OF_NO_COLOUR = 0;

  private TiffColours() {}

  static PictureColours of(Picture picture) throws IOException {
    Directory first = first(picture);
    int bits = first(first, TIFF.TAG_BITS_PER_SAMPLE, 1);
    return new PictureColours(
        model(first(first, TIFF.TAG_PHOTOMETRIC_INTERPRETATION, -1))
            + (bits == 8 ? "" : bits == 1 ? " of 1 bit" : " of " + bits + " bits")
            + (isOpaque(first) ? "" : ", clear in places"),
        IccProfile.name(profile(first)));
  }

  /** Its channels and profile, where they are RGB or inks and nothing shows through. */
  static Optional<OwnColours> own(Picture picture) throws IOException {
    Directory first = first(picture);
    int photometric = first(first, TIFF.TAG_PHOTOMETRIC_INTERPRETATION, -1);
    boolean inks = photometric == SEPARATED;
    return isOpaque(first) && (inks || photometric == 2)
        ? Optional.of(new OwnColours(inks ? 4 : 3, profile(first)))
        : Optional.empty();
  }

  private static Directory first(Picture picture) throws IOException {
    try (ImageInputStream in = picture.file().image(Budget.forKept(picture.file().length()))) {
      Directory all = new TIFFReader().read(in);
      return all instanceof CompoundDirectory c ? c.getDirectory(0) : all;
    }
  }

  private static byte[] profile(Directory first) {
    Entry icc = first.getEntryById(TIFF.TAG_ICC_PROFILE);
    return icc != null && icc.getValue() instanceof byte[] b ? b : new byte[0];
  }

  private static boolean isOpaque(Directory first) {
    return first(first, TIFF.TAG_EXTRA_SAMPLES, OF_NO_COLOUR) == OF_NO_COLOUR;
  }

  private static String model(int photometric) {
    return switch (photometric) {
      case 0, 1 -> "gray";
      case 2, Y_CB_CR -> "RGB";
      case 3 -> "RGB by a palette";
      case SEPARATED -> "CMYK";
      case CIE_LAB -> "L*a*b*";
      default -> "colours not told";
    };
  }

  /** The first number of a field, or what it is where it is not there. */
  private static int first(Directory directory, int tag, int usual) {
    Entry entry = directory.getEntryById(tag);
    Object value = entry == null ? null : entry.getValue();
    Object one =
        value != null && value.getClass().isArray() && Array.getLength(value) > 0
            ? Array.get(value, 0)
            : value;
    return one instanceof Number n ? n.intValue() : usual;
  }
}
