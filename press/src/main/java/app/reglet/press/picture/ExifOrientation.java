package app.reglet.press.picture;

import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import com.twelvemonkeys.imageio.metadata.Directory;
import com.twelvemonkeys.imageio.metadata.Entry;
import com.twelvemonkeys.imageio.metadata.jpeg.JPEG;
import com.twelvemonkeys.imageio.metadata.jpeg.JPEGSegment;
import com.twelvemonkeys.imageio.metadata.jpeg.JPEGSegmentUtil;
import com.twelvemonkeys.imageio.metadata.tiff.TIFF;
import com.twelvemonkeys.imageio.metadata.tiff.TIFFReader;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.stream.ImageInputStream;

/** Reads the orientation a camera noted in a JPEG or TIFF; 1 (upright) where there is none. */
final class ExifOrientation {
  private ExifOrientation() {}

  static int of(FileBytes file, Picture.Format format, Budget budget) {
    try {
      return switch (format) {
        case JPEG -> ofJpeg(file, budget);
        case TIFF -> ofTiff(file.image(budget));
        case PNG -> 1;
      };
    } catch (IOException | RuntimeException e) {
      return 1; // metadata that can't be read says nothing about the picture
    }
  }

  private static int ofJpeg(FileBytes file, Budget budget) throws IOException {
    try (ImageInputStream in = file.image(budget)) {
      List<JPEGSegment> exif = JPEGSegmentUtil.readSegments(in, JPEG.APP1, "Exif");
      if (exif.isEmpty()) {
        return 1;
      }
      try (InputStream data = exif.get(0).data()) {
        data.skipNBytes(1); // padding after the identifier
        return ofTiff(ImageIO.createImageInputStream(data));
      }
    }
  }

  private static int ofTiff(ImageInputStream in) throws IOException {
    try (in) {
      Directory directory = new TIFFReader().read(in);
      Entry entry = directory.getEntryById(TIFF.TAG_ORIENTATION);
      if (entry != null
          && entry.getValue() instanceof Number n
          && n.intValue() >= 1
          && n.intValue() <= 8) {
        return n.intValue();
      }
      return 1;
    }
  }
}
