package app.reglet.press.pdf;

import app.reglet.press.art.Mark;
import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * Runs of glyphs as text operators (ISO 32000-1, 9.4), each glyph where the display list has it.
 */
final class PdfText {
  private final Fonts fonts;
  private final Operators out;
  private final PDResources resources;

  private PdfText(Fonts fonts, Operators out, PDResources resources) {
    this.fonts = fonts;
    this.out = out;
    this.resources = resources;
  }

  /** Shows a run, in the colours that are set. */
  static void show(Mark.Glyphs g, Fonts fonts, Operators out, PDResources resources) {
    new PdfText(fonts, out, resources).text(g);
  }

  private void text(Mark.Glyphs g) {
    try {
      PDType0Font font = fonts.of(g.face());
      out.op("BT");
      out.op("Tf", resources.add(font), Operators.number(1));
      if (g.turns().length > 0) {
        turned(g, font);
      } else {
        AffineTransform t = new AffineTransform(g.place());
        t.scale(g.size(), -g.size());
        out.matrix("Tm", t);
        show(g, font);
      }
      out.op("ET");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Each glyph in its own place and turn; the whole line is said once. */
  private void turned(Mark.Glyphs g, PDType0Font font) throws IOException {
    says(g.text());
    for (int i = 0; i < g.glyphs().length; i++) {
      fonts.use(g.face(), g.glyphs()[i]);
      AffineTransform t = new AffineTransform(g.place());
      t.concatenate(g.glyph(i));
      t.scale(1, -1);
      out.matrix("Tm", t);
      COSArray one = new COSArray();
      one.add(new COSString(font.encodeGlyphId(g.glyphs()[i]), true));
      shown(one);
    }
    out.op("EMC");
  }

  private void show(Mark.Glyphs g, PDType0Font font) throws IOException {
    String[] said = Clusters.said(g, i -> font.getWidthFromFont(g.glyphs()[i]));
    COSArray show = new COSArray();
    double pen = 0;
    double rise = 0;
    for (int i = 0; i < said.length; i++) {
      int glyph = g.glyphs()[i];
      fonts.use(g.face(), glyph);
      double up = -g.y()[i] / g.size();
      if (Math.abs(up - rise) > 0.00001) {
        show = shown(show);
        out.op("Ts", Operators.number(up));
        rise = up;
      }
      double at = g.x()[i] / g.size() * 1000;
      double back = pen - at; // TJ moves the pen back by thousandths of the size
      if (Math.abs(back) > 0.005) {
        show.add(Operators.number(back));
        pen = at;
      }
      if (said[i] != null) {
        show = shown(show);
        says(said[i]);
      }
      show.add(new COSString(font.encodeGlyphId(glyph), true));
      pen += font.getWidthFromFont(glyph);
      if (said[i] != null) {
        show = shown(show);
        out.op("EMC");
      }
    }
    shown(show);
    if (rise != 0) {
      out.op("Ts", Operators.number(0));
    }
  }

  /**
   * Begins a stretch that reads as this text (ISO 32000-1, 14.9.4): a ligature is several letters.
   */
  private void says(String text) {
    COSDictionary properties = new COSDictionary();
    properties.setString(COSName.ACTUAL_TEXT, text);
    out.op("BDC", COSName.getPDFName("Span"), properties);
  }

  private COSArray shown(COSArray show) {
    if (show.size() > 0) {
      out.op("TJ", show);
    }
    return new COSArray();
  }
}
