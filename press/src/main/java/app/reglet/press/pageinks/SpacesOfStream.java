package app.reglet.press.pageinks;

import java.io.IOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;

/**
 * The colour spaces that a stream's resources name, as they were; in the resources themselves
 * nothing stays of them but patterns, whose own colours are in four inks then.
 */
final class SpacesOfStream implements InkedContent.Named {
  /** Long names of what a picture among operators says in short (ISO 32000-1, tables 93, 94). */
  private static final Map<String, String> LONG =
      Map.ofEntries(
          Map.entry("BPC", "BitsPerComponent"),
          Map.entry("CS", "ColorSpace"),
          Map.entry("D", "Decode"),
          Map.entry("DP", "DecodeParms"),
          Map.entry("F", "Filter"),
          Map.entry("H", "Height"),
          Map.entry("IM", "ImageMask"),
          Map.entry("I", "Interpolate"),
          Map.entry("W", "Width"));

  private static final Map<String, String> LONG_VALUE =
      Map.ofEntries(
          Map.entry("G", "DeviceGray"),
          Map.entry("RGB", "DeviceRGB"),
          Map.entry("CMYK", "DeviceCMYK"),
          Map.entry("I", "Indexed"),
          Map.entry("AHx", "ASCIIHexDecode"),
          Map.entry("A85", "ASCII85Decode"),
          Map.entry("LZW", "LZWDecode"),
          Map.entry("Fl", "FlateDecode"),
          Map.entry("RL", "RunLengthDecode"),
          Map.entry("CCF", "CCITTFaxDecode"),
          Map.entry("DCT", "DCTDecode"));

  private final COSDictionary resources;
  private final InkedImages images;
  private final boolean changing;
  private final boolean gray;
  private final Use use;
  private final Map<COSName, Set<COSName>> used = new HashMap<>();
  private final Map<COSName, COSBase> said = new HashMap<>();
  private final Map<COSName, PDColorSpace> read = new HashMap<>();

  /** What is done with something when a stream first uses it. */
  @FunctionalInterface
  interface Use {
    /**
     * @param kind of the resources that it is among
     */
    void at(COSName kind, COSDictionary what) throws IOException;
  }

  SpacesOfStream(
      COSDictionary resources, InkedImages images, boolean changing, boolean gray, Use use)
      throws IOException {
    this.use = use;
    this.resources = resources;
    this.images = images;
    this.changing = changing;
    this.gray = gray;
    COSDictionary all = resources.getCOSDictionary(COSName.COLORSPACE);
    if (all == null) {
      return;
    }
    COSDictionary left = new COSDictionary();
    for (COSName name : List.copyOf(all.keySet())) {
      COSBase space = all.getDictionaryObject(name);
      said.put(name, space);
      if (space instanceof COSArray a && a.size() > 1 && COSName.PATTERN.equals(a.getObject(0))) {
        COSArray inFour = new COSArray();
        inFour.add(COSName.PATTERN);
        inFour.add(COSName.DEVICECMYK);
        left.setItem(name, inFour);
      } else if (COSName.PATTERN.equals(space)
          || space instanceof COSArray b
              && b.size() == 1
              && COSName.PATTERN.equals(b.getObject(0))) {
        left.setItem(name, COSName.PATTERN);
      }
    }
    if (changing && !gray) {
      resources.setItem(COSName.COLORSPACE, left);
    }
  }

  boolean gray() {
    return gray;
  }

  @Override
  public void uses(COSName kind, COSName name) throws IOException {
    COSDictionary all = resources.getCOSDictionary(kind);
    if (used.computeIfAbsent(kind, k -> new HashSet<>()).add(name)
        && all != null
        && all.getDictionaryObject(name) instanceof COSDictionary what) {
      use.at(kind, what);
    }
  }

  /** Leaves in the resources only what streams use: nothing else was changed. */
  void leaveUsed() {
    for (COSName kind :
        List.of(
            COSName.XOBJECT, COSName.PATTERN, COSName.SHADING, COSName.FONT, COSName.EXT_G_STATE)) {
      COSDictionary all = resources.getCOSDictionary(kind);
      if (all == null) {
        continue;
      }
      COSDictionary left = new COSDictionary(); // others may share what was there
      for (COSName name : List.copyOf(all.keySet())) {
        if (used.getOrDefault(kind, Set.of()).contains(name)) {
          left.setItem(name, all.getItem(name));
        }
      }
      resources.setItem(kind, left);
    }
  }

  @Override
  public PDColorSpace space(COSName name) throws IOException {
    PDColorSpace there = read.get(name);
    if (there == null) {
      COSBase is = said.getOrDefault(name, name);
      there = COSName.PATTERN.equals(is) ? new PDPattern(null) : PDColorSpace.create(is);
      read.put(name, there);
    }
    return there;
  }

  @Override
  public COSName picture(COSDictionary parameters, byte[] data) throws IOException {
    COSStream image = new COSStream();
    for (COSName key : parameters.keySet()) {
      COSName known = COSName.getPDFName(LONG.getOrDefault(key.getName(), key.getName()));
      image.setItem(known, inFull(parameters.getDictionaryObject(key)));
    }
    if (InkedImages.isStencil(image)) {
      return null;
    }
    COSBase space = image.getDictionaryObject(COSName.COLORSPACE);
    if (space instanceof COSName named && said.containsKey(named)) {
      image.setItem(COSName.COLORSPACE, said.get(named));
    }
    try (var out = image.createRawOutputStream()) {
      out.write(data);
    }
    image.setItem(COSName.TYPE, COSName.XOBJECT);
    image.setItem(COSName.SUBTYPE, COSName.IMAGE);
    images.expect(image);
    if (changing) {
      images.change(image);
    }
    COSDictionary objects = resources.getCOSDictionary(COSName.XOBJECT);
    if (objects == null) {
      objects = new COSDictionary();
    }
    COSName name = free(objects);
    used.computeIfAbsent(COSName.XOBJECT, k -> new HashSet<>()).add(name);
    if (changing) {
      resources.setItem(COSName.XOBJECT, objects);
      objects.setItem(name, image);
    }
    return name;
  }

  private static COSName free(COSDictionary objects) {
    for (int n = 1; ; n++) {
      COSName name = COSName.getPDFName("Inline" + n);
      if (!objects.containsKey(name)) {
        return name;
      }
    }
  }

  private static COSBase inFull(COSBase value) {
    if (value instanceof COSName name) {
      return COSName.getPDFName(LONG_VALUE.getOrDefault(name.getName(), name.getName()));
    }
    if (value instanceof COSArray array) {
      COSArray out = new COSArray();
      for (int i = 0; i < array.size(); i++) {
        out.add(inFull(array.getObject(i)));
      }
      return out;
    }
    return value;
  }
}
