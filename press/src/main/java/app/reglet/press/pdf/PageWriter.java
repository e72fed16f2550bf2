package app.reglet.press.pdf;

import app.reglet.press.art.Frame;
import app.reglet.press.art.Mark;
import app.reglet.press.art.Paint;
import app.reglet.press.picture.JpegFile;
import app.reglet.press.picture.Orientation;
import app.reglet.press.picture.Picture;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.picture.PngFile;
import app.reglet.press.picture.Rows;
import app.reglet.press.type.Typeface;
import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Writes marks as the operators of one page (ISO 32000-1, 8 and 9), in mm with y down. */
final class PageWriter {
  private static final double POINTS_PER_MM = 72 / 25.4;

  /** Pixels that are decoded and packed as a JPEG in memory; more are packed without loss. */
  private static final long MOST_PACKED_ANEW = 12_000_000;

  private static final byte[] NO_PROFILE = {};
  private static final int WHITE = 0xffffff;

  private final PDDocument document;
  private final PDResources resources;
  private final Frame place;
  private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
  private final ContentStreamWriter out = new ContentStreamWriter(bytes);
  private final Map<String, PDType0Font> fonts = new LinkedHashMap<>();
  private final Map<String, COSName> fontNames = new LinkedHashMap<>();
  private final Map<String, Set<Integer>> used = new LinkedHashMap<>();
  private final Map<String, COSName> images = new LinkedHashMap<>();

  /**
   * @param place where the page lies on the sheet the marks are laid on
   */
  PageWriter(PDDocument document, PDResources resources, Frame place) {
    this.document = document;
    this.resources = resources;
    this.place = place;
  }

  byte[] write(List<Mark> marks) throws IOException {
    op("q");
    op(
        "cm",
        number(POINTS_PER_MM),
        number(0),
        number(0),
        number(-POINTS_PER_MM),
        number(-place.x() * POINTS_PER_MM),
        number(place.bottom() * POINTS_PER_MM));
    for (Mark mark : marks) {
      if (mark instanceof Mark.Area a) {
        paint(a.paint());
        rectangle(a.frame());
        op("f");
      } else if (mark instanceof Mark.Glyphs g) {
        glyphs(g);
      } else if (mark instanceof Mark.Image i) {
        image(i);
      }
    }
    op("Q");
    return bytes.toByteArray();
  }

  /** Cuts each font down to the glyphs that were used. Call after {@link #write}. */
  void finishFonts() throws IOException {
    for (Map.Entry<String, PDType0Font> e : fonts.entrySet()) {
      e.getValue().addGlyphsToSubset(used.get(e.getKey()));
      e.getValue().subset();
    }
  }

  private void glyphs(Mark.Glyphs g) throws IOException {
    int n = g.glyphs().length;
    if (n == 0) {
      return;
    }
    PDType0Font font = font(g.face());
    paint(g.paint());
    op("BT");
    op("Tf", fontNames.get(g.face().id()), number(1));
    AffineTransform t = new AffineTransform(g.place());
    t.scale(g.size(), -g.size());
    matrix("Tm", t);
    COSArray show = new COSArray();
    double pen = 0;
    for (int i = 0; i < n; i++) {
      int glyph = g.glyphs()[i];
      int next = i + 1 < n ? g.chars()[i + 1] : g.text().length();
      boolean ligature = next - g.chars()[i] > 1;
      used.get(g.face().id()).add(glyph);
      double at = g.x()[i] / g.size() * 1000;
      double back = pen - at; // TJ moves the pen back by thousandths of the size
      if (Math.abs(back) > 0.005) {
        show.add(number(back));
        pen = at;
      }
      if (ligature) {
        show = shown(show);
        says(g.text().substring(g.chars()[i], next));
      }
      show.add(new COSString(font.encodeGlyphId(glyph), true));
      pen += font.getWidthFromFont(glyph);
      if (ligature) {
        show = shown(show);
        op("EMC");
      }
    }
    shown(show);
    op("ET");
  }

  /**
   * Begins a stretch that reads as this text (ISO 32000-1, 14.9.4): a ligature is several letters.
   */
  private void says(String text) throws IOException {
    COSDictionary properties = new COSDictionary();
    properties.setString(COSName.ACTUAL_TEXT, text);
    out.writeTokens(COSName.getPDFName("Span"), properties, Operator.getOperator("BDC"));
  }

  private COSArray shown(COSArray show) throws IOException {
    if (show.size() > 0) {
      op("TJ", show);
    }
    return new COSArray();
  }

  private PDType0Font font(Typeface face) throws IOException {
    PDType0Font font = fonts.get(face.id());
    if (font == null) {
      font = PDType0Font.load(document, new ByteArrayInputStream(face.file()), true);
      fonts.put(face.id(), font);
      fontNames.put(face.id(), resources.add(font));
      used.put(face.id(), new LinkedHashSet<>());
    }
    return font;
  }

  private void image(Mark.Image i) throws IOException {
    String key = i.picture().sha() + " on " + i.under().hex();
    COSName name = images.get(key);
    if (name == null) {
      name = resources.add(embed(i.picture(), i.under().rgb()));
      images.put(key, name);
    }
    op("q");
    rectangle(i.clip());
    op("W");
    op("n");
    Frame w = i.whole();
    AffineTransform t = new AffineTransform(w.width(), 0, 0, w.height(), w.x(), w.y());
    t.concatenate(Orientation.upright(i.picture().orientation()));
    t.concatenate(new AffineTransform(1, 0, 0, -1, 0, 1)); // an image's own y points up
    matrix("cm", t);
    op("Do", name);
    op("Q");
  }

  /** A JPEG goes in as it came, at its own resolution; others without loss. */
  private PDImageXObject embed(Picture picture, int under) throws IOException {
    if (picture.format() == Picture.Format.JPEG) {
      return jpeg(picture);
    }
    if (picture.format() == Picture.Format.PNG) {
      PngFile png = PngFile.of(picture.file());
      if (!png.interlaced() && !png.mayBeTransparent() && png.depth() <= 8) {
        return FlatePixels.of(document, png);
      }
      // what is transparent is laid on what is under it, since press files carry none that is live;
      // 16 bits become 8
      boolean rgb = png.colour() == 2 || png.colour() == 6;
      try (Rows rows = PictureReader.rows(picture, under)) {
        return FlatePixels.of(document, rows, rgb ? png.profile() : NO_PROFILE);
      }
    }
    try (Rows rows = PictureReader.rows(picture, under)) {
      return FlatePixels.of(document, rows, NO_PROFILE);
    }
  }

  private PDImageXObject jpeg(Picture picture) throws IOException {
    JpegFile jpeg = JpegFile.of(picture.file());
    if (jpeg.channels() == 1 || jpeg.channels() == 3) {
      try (InputStream in = picture.file().open()) {
        return new PDImageXObject(
            document,
            in,
            COSName.DCT_DECODE,
            jpeg.width(),
            jpeg.height(),
            8,
            colours(jpeg, jpeg.profile(picture.file())));
      }
    }
    if ((long) jpeg.width() * jpeg.height() <= MOST_PACKED_ANEW) {
      return JPEGFactory.createFromImage(
          document, PictureReader.onWhite(PictureReader.pixels(picture, MOST_PACKED_ANEW)), 0.95f);
    }
    try (Rows rows = PictureReader.rows(picture, WHITE)) {
      return FlatePixels.of(document, rows, NO_PROFILE);
    }
  }

  private PDColorSpace colours(JpegFile jpeg, byte[] profile) throws IOException {
    if (profile.length > 0) {
      return FlatePixels.profiled(document, profile, jpeg.channels());
    }
    return jpeg.channels() == 1 ? PDDeviceGray.INSTANCE : PDDeviceRGB.INSTANCE;
  }

  private void paint(Paint paint) throws IOException {
    if (paint instanceof Paint.Rgb rgb) {
      op(
          "rg",
          number(rgb.colour().red()),
          number(rgb.colour().green()),
          number(rgb.colour().blue()));
    } else {
      op("k", number(0), number(0), number(0), number(1));
    }
  }

  private void matrix(String operator, AffineTransform t) throws IOException {
    op(
        operator,
        number(t.getScaleX()),
        number(t.getShearY()),
        number(t.getShearX()),
        number(t.getScaleY()),
        number(t.getTranslateX()),
        number(t.getTranslateY()));
  }

  private void rectangle(Frame f) throws IOException {
    op("re", number(f.x()), number(f.y()), number(f.width()), number(f.height()));
  }

  private void op(String name, COSBase... operands) throws IOException {
    for (COSBase o : operands) {
      out.writeToken(o);
    }
    out.writeToken(Operator.getOperator(name));
  }

  private static COSBase number(double value) throws IOException {
    if (value == Math.rint(value) && Math.abs(value) < 1e6) {
      return COSInteger.get((long) value);
    }
    String text = String.format(Locale.ROOT, "%.6f", value);
    return new COSFloat(text.replaceAll("0+$", "").replaceAll("\\.$", ".0"));
  }
}
