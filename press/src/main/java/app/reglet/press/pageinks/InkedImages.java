package app.reglet.press.pageinks;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/**
 * Pictures of a page in inks, each with the pixels that it has: gray ones and those in inks within
 * the total stay packed as they are, of indexed ones the palette is changed, others are packed
 * anew.
 */
final class InkedImages {
  /** Pixels of a picture that is unpacked and packed anew; more take too much memory. */
  private static final long MOST_PIXELS = 80_000_000;

  /** Ways of packing that PDF/X-1a and PDF/X-4 take alike (ISO 15930-4 and -7, from memory). */
  private static final Set<COSName> TAKEN =
      Set.of(COSName.FLATE_DECODE, COSName.DCT_DECODE, COSName.CCITTFAX_DECODE);

  /** What says nothing of how a picture is printed. */
  private static final List<String> BESIDE =
      List.of("Alternates", "OPI", "Metadata", "StructParent", "PieceInfo", "OC", "ID", "Measure");

  private final ColourInks colours;
  private final Repacked repacked;
  private final boolean clear;

  /**
   * @param clear whether something may show through
   */
  InkedImages(ColourInks colours, Repacked repacked, boolean clear) {
    this.colours = colours;
    this.repacked = repacked;
    this.clear = clear;
  }

  /**
   * Whether one can be given in inks.
   *
   * @throws NotInInks when not
   */
  void expect(COSStream image) throws IOException {
    if (image.getInt("SMaskInData", 0) != 0) {
      throw new NotInInks("a picture whose mask is in its data");
    }
    if (image.getDictionaryObject(COSName.SMASK) instanceof COSStream mask) {
      if (!clear) {
        throw new NotInInks("a picture that is partly clear, which PDF/X-1a doesn’t take");
      }
      if (mask.getDictionaryObject("Matte") != null
          || !COSName.DEVICEGRAY.equals(mask.getDictionaryObject(COSName.COLORSPACE))
          || !isTaken(mask)) {
        throw new NotInInks("a mask that is not plain");
      }
    }
    COSBase mask = image.getDictionaryObject(COSName.MASK);
    if (mask instanceof COSArray || mask instanceof COSStream s && !isTaken(s)) {
      throw new NotInInks("colours of a picture that are left out");
    }
    if (isStencil(image)) {
      if (!isTaken(image)) {
        throw new NotInInks("a stencil packed in another way");
      }
      return;
    }
    long pixels = (long) image.getInt(COSName.WIDTH) * image.getInt(COSName.HEIGHT);
    if (pixels <= 0 || pixels > MOST_PIXELS && !staysPacked(image, space(image))) {
      throw new NotInInks("a picture of " + pixels + " pixels");
    }
  }

  private static boolean staysPacked(COSStream image, PDColorSpace space) {
    return isTaken(image) && (SpaceInks.isGray(space) || space instanceof PDIndexed);
  }

  static boolean isStencil(COSStream image) {
    return image.getBoolean(COSName.IMAGE_MASK, false);
  }

  private static boolean isTaken(COSStream image) {
    return filters(image).stream().allMatch(TAKEN::contains)
        && image.getInt(COSName.BITS_PER_COMPONENT, 1) <= 8;
  }

  private static List<COSName> filters(COSStream image) {
    COSBase said = image.getDictionaryObject(COSName.FILTER);
    if (said instanceof COSName one) {
      return List.of(one);
    }
    return said instanceof COSArray all
        ? all.toCOSNameStringList().stream().map(COSName::getPDFName).toList()
        : List.of();
  }

  private static PDColorSpace space(COSStream image) throws IOException {
    COSBase said = image.getDictionaryObject(COSName.COLORSPACE);
    if (said == null) {
      throw new NotInInks("a picture that does not name its colours");
    }
    return PDColorSpace.create(said);
  }

  /** Gives a picture in inks, in its place. */
  void change(COSStream image) throws IOException {
    BESIDE.forEach(k -> image.removeItem(COSName.getPDFName(k)));
    if (image.getDictionaryObject(COSName.SMASK) instanceof COSStream mask) {
      BESIDE.forEach(k -> mask.removeItem(COSName.getPDFName(k)));
    }
    if (image.getDictionaryObject(COSName.MASK) instanceof COSStream mask) {
      BESIDE.forEach(k -> mask.removeItem(COSName.getPDFName(k)));
    }
    if (isStencil(image)) {
      return;
    }
    PDColorSpace space = space(image);
    if (SpaceInks.isGray(space) && isTaken(image)) {
      image.setItem(COSName.COLORSPACE, COSName.DEVICEGRAY);
    } else if (space instanceof PDIndexed indexed && isTaken(image)) {
      image.setItem(COSName.COLORSPACE, indexed(indexed));
    } else {
      anew(image, space);
    }
  }

  /** The space of a picture whose palette is given in inks. */
  private COSArray indexed(PDIndexed space) throws IOException {
    COSArray was = (COSArray) space.getCOSObject();
    int highest = Math.max(0, Math.min(255, ((COSInteger) was.getObject(2)).intValue()));
    SpaceInks inks = colours.of(space);
    byte[] table = new byte[4 * (highest + 1)];
    for (int n = 0; n <= highest; n++) {
      float[] four = inks.of(new float[] {n});
      for (int i = 0; i < 4; i++) {
        table[4 * n + i] = (byte) Math.round(255 * Math.max(0, Math.min(1, four[i])));
      }
    }
    COSArray out = new COSArray();
    out.add(COSName.INDEXED);
    out.add(COSName.DEVICECMYK);
    out.add(COSInteger.get(highest));
    out.add(new COSString(table));
    return out;
  }

  private void anew(COSStream image, PDColorSpace space) throws IOException {
    int w = image.getInt(COSName.WIDTH);
    int h = image.getInt(COSName.HEIGHT);
    byte[] inks = new byte[4 * w * h];
    take(half(image, space, false), inks, false);
    take(half(image, space, true), inks, true);
    byte[] kept = inks.clone();
    colours.press().keep(kept);
    boolean four =
        space instanceof PDDeviceCMYK
            || space instanceof PDICCBased && space.getNumberOfComponents() == 4;
    if (four && isTaken(image) && Arrays.equals(inks, kept)) {
      image.setItem(COSName.COLORSPACE, COSName.DEVICECMYK);
      return;
    }
    boolean photo = filters(image).contains(COSName.DCT_DECODE);
    replace(image, repacked.pack(w, h, kept, photo));
  }

  /** What one half of the inks leaves of the light, pixel by pixel, without masks. */
  private BufferedImage half(COSStream image, PDColorSpace space, boolean black)
      throws IOException {
    COSBase was = image.getItem(COSName.COLORSPACE);
    COSObject standing = new COSObject(space.getCOSObject());
    KeptSpaces cache = new KeptSpaces();
    int bits = image.getInt(COSName.BITS_PER_COMPONENT, 8);
    cache.put(standing, new InkSpace(space, colours.press().table(), black, bits, standing));
    image.setItem(COSName.COLORSPACE, standing);
    try {
      BufferedImage seen =
          new PDImageXObject(new PDStream(image), new PDResources(new COSDictionary(), cache))
              .getOpaqueImage();
      if (seen.getWidth() != image.getInt(COSName.WIDTH)
          || seen.getHeight() != image.getInt(COSName.HEIGHT)) {
        throw new NotInInks("a picture of another size than it says");
      }
      return seen;
    } finally {
      image.setItem(COSName.COLORSPACE, was);
    }
  }

  private static void take(BufferedImage half, byte[] inks, boolean black) {
    int w = half.getWidth();
    int[] row = new int[w];
    for (int y = 0; y < half.getHeight(); y++) {
      half.getRGB(0, y, w, 1, row, 0, w);
      for (int x = 0; x < w; x++) {
        int at = 4 * (y * w + x);
        if (black) {
          inks[at + 3] = (byte) (255 - (row[x] & 0xff));
        } else {
          inks[at] = (byte) (255 - (row[x] >> 16 & 0xff));
          inks[at + 1] = (byte) (255 - (row[x] >> 8 & 0xff));
          inks[at + 2] = (byte) (255 - (row[x] & 0xff));
        }
      }
    }
  }

  /** Other pixels in its place; what masks it stays. */
  private static void replace(COSStream image, COSStream by) throws IOException {
    for (COSName key :
        List.of(COSName.DECODE, COSName.DECODE_PARMS, COSName.FILTER, COSName.F_DECODE_PARMS)) {
      image.removeItem(key);
    }
    try (var out = image.createRawOutputStream();
        var in = by.createRawInputStream()) {
      in.transferTo(out);
    }
    for (COSName key : List.copyOf(by.keySet())) {
      if (!COSName.LENGTH.equals(key)) {
        image.setItem(key, by.getItem(key));
      }
    }
    by.close();
  }
}
